# frozen_string_literal: true

module Web
  module Families
    module Decisions
      module Presenters
        # A decision with its options and what it is about; of anything else, what was decided about it.
        class ElementPanel
          Core = Basalt::Decisions
          Thing = Basalt::Value.of(:id, :title, :otherwise)

          def initialize(project:, sheet:, element:)
            @set = project.set
            @sheet = sheet
            @element = element
          end

          # @return [Symbol, nil]
          def template
            case @element.kind
            when Core::Kinds::DECISION then :one_decision
            when *own then nil
            else :decided
            end
          end

          # @return [Boolean] whether its options stand in a table already
          def tabled? = @sheet.notation.parts.include?(Core::Kinds::OPTION)
          def options = @set.parts_of(@element.id)

          # @return [Array<Thing>]
          def things
            Core::About.of(@set, @element.id).map do |one|
              id = one.target("thing")
              Thing.new(id:, title: Core::About.title(@set, id), otherwise: Core::About.altered?(@set, one))
            end
          end

          def gone = @element["gone"].to_s.split(Core::About::BETWEEN)
          def earlier = Core::About.earlier(@set, @element.id)
          def replaced = Core::About.replaced(@set, @element.id)

          # @return [Array<Basalt::Model::Element>] about the element
          def decisions = Core::About.decisions(@set, @element.id)
          def stands?(decision) = Core::About.stands?(@set, decision)

          private

          def own = [Core::Kinds::OPTION, Core::Kinds::CONCERNS, Core::Kinds::REPLACES]
        end
      end
    end
  end
end
