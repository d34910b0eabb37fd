# frozen_string_literal: true

module Web
  module Families
    module Software
      module Presenters
        # The matrix of actors and use cases.
        class TakingPartFace
          SIGNS = { "" => "", "takes part" => "●", "starts" => "▶" }.freeze
          # One cell: whom it is about, what it says, and its sign.
          Cell =
            Basalt::Value.of(:id, :path, :state, :sign, :label) do
              def said = state.empty? ? "nothing" : state
            end

          def initialize(project:, sheet:)
            @matrix = Basalt::Software::UseCases::TakingPart.new(project.set, sheet.id)
          end

          def empty? = @matrix.actors.empty? || @matrix.use_cases.empty?
          def use_cases = @matrix.use_cases.map(&:name)
          def states = JSON.generate(SIGNS.to_a)
          def signs = SIGNS.except("")

          # @return [Array<Array(String, Array<Cell>)>] actors with their cells
          def rows = @matrix.actors.map { |actor| [actor.name, @matrix.use_cases.map { |one| cell(actor, one) }] }

          private

          def cell(actor, use_case)
            state = @matrix.cell(actor.id, use_case.id)
            Cell.new(
              id: "taking-part-#{actor.id}-#{use_case.id}",
              path: "taking-part/#{actor.id}/#{use_case.id}",
              state:,
              sign: SIGNS[state],
              label: "#{actor.name}, #{use_case.name}"
            )
          end
        end
      end
    end
  end
end
