# frozen_string_literal: true

module Web
  module Families
    module Software
      module Presenters
        # What use cases do with what is kept, and what actors may do with it.
        class AccessFace
          Cell = Basalt::Value.of(:id, :path, :letters, :label)

          def initialize(project:, sheet:)
            @access = Basalt::Software::UseCases::Access.new(project.set, sheet.id)
          end

          def empty? = @access.use_cases.empty? || @access.columns.empty?
          def actors? = @access.actors.any?
          def columns = @access.columns.map(&:name)

          # @return [Array<Array(String, Array<Cell>)>] use cases with what is typed there
          def use_cases = @access.use_cases.map { |one| [one.name, @access.columns.map { |column| cell(one, column) }] }

          # @return [Array<Array(String, Array<String>)>] actors with what they may do
          def actors = @access.actors.map { |actor| [actor.name, @access.columns.map { |column| @access.may(actor.id, column.id) }] }

          private

          def cell(use_case, column)
            Cell.new(
              id: "access-#{use_case.id}-#{column.id}",
              path: "access/#{use_case.id}/#{column.id}",
              letters: @access.cell(use_case.id, column.id),
              label: "#{use_case.name}, #{column.name}"
            )
          end
        end
      end
    end
  end
end
