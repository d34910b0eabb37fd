# frozen_string_literal: true

module Web
  module Families
    module Journeys
      module Presenters
        # A journey with its steps and what it lacks; of a part, which steps come by, and what they need to know of it.
        class ElementPanel
          Core = Basalt::Journeys
          # Steps that are told of a part, and the fewest and most lines of the text, at a time.
          MOST = 12
          LINES = (6..24)
          # Letters in a line of the margin.
          WIDTH = 32
          Step = Basalt::Value.of(:journey_id, :journey, :number, :words)

          def initialize(project:, sheet:, element:)
            @set = project.set
            @sheet = sheet
            @element = element
          end

          # @return [Symbol, nil]
          def template
            return :journey_steps if @element.kind == Core::Kinds::JOURNEY

            :journey_part if part?
          end

          def script = @script ||= Core::Script.of(@set, @element.id)
          def lines = (script.lines.sum { |line| (line.length / WIDTH) + 1 } + 1).clamp(LINES)
          def lacking = @lacking ||= Lacking.new(@set, @sheet, survey.journey(@element.id))
          def here? = @set.shown?(@sheet.id, @element.id)

          # @return [Array<Step>]
          def steps
            (survey.touched[@element.id] || []).first(MOST).map do |one, step|
              Step.new(journey_id: one.journey.id, journey: one.journey.name, number: step.number, words: Told.words(step.element))
            end
          end

          def thing? = !@element.relation?

          # @return [String] as it is typed
          def states
            found = declared(Core::Kinds::STATES, "of").first or return ""
            [found["names"], found["ends"]].compact.map { |list| list.split(Core::NameListSlot::BETWEEN).join(", ") }.join(" ending as ")
          end

          def asked = declared(Core::Kinds::ASKING, "store").filter_map { |one| one["by"] }.join("; ")

          private

          def survey = Core::Survey.of(@set)
          def declared(kind, role) = Core::Declared.of(@set, kind, role, @element.id)

          # On a sheet where somebody walks.
          def part?
            return false if !@set.elements.any_by?(:kind, Core::Kinds::JOURNEY) || @element.owner_id || @element.description.figure

            survey.touched.key?(@element.id) || (thing? && survey.sheet_ids.include?(@sheet.id) && @sheet.notation.draws?(@element))
          end
        end
      end
    end
  end
end
