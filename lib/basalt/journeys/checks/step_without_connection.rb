# frozen_string_literal: true

module Basalt
  module Journeys
    module Checks
      # A step between two parts that nothing joins, or from or to what is not there.
      class StepWithoutConnection < JourneyCheck
        rule "step-without-connection", :warning, reads: READS

        private

        def at(one, step)
          lacking = %w[from to reads writes].filter_map { |fact| step.element[fact] if step.element[fact] && absent?(one, step, fact) }.uniq
          return lacking.map { |name| missing(one, step, name) } if lacking.any?

          step.lines && step.lines.empty? ? [unjoined(one, step)] : []
        end

        # What stands elsewhere in the project is not there, where the journey is walked.
        def absent?(one, step, fact)
          step.public_send(fact).then { |part| part.nil? || (one.ground.sheet_ids.any? && !one.ground.here?(part)) }
        end

        def missing(one, step, name)
          known = one.ground.part(name)
          finding(
            [step.element.id, *step.parts.map(&:id)],
            "#{begun(title(one, step.element))} needs #{name}, which is not there",
            "Nothing on the sheet is called so: the step cannot be walked until there is.",
            repair: known && repair("Show #{name} there", Change::Show.new(sheet_id: one.ground.sheet_ids.first, element_id: known.id))
          )
        end

        def unjoined(one, step)
          finding(
            about(step),
            "#{begun(title(one, step.element))} goes from #{step.from.name} to #{step.to.name}, which nothing joins",
            "What is sent has to have a way.",
            repair: joining(one, step)
          )
        end

        def joining(one, step)
          sheet_id = one.ground.sheet_of(step.from, step.to)
          return if sheet_id.nil? || Joining.kinds(set, step, sheet_id).empty?

          repair("Join #{step.from.name} and #{step.to.name}", Joining.new(step:, sheet_id:))
        end
      end
    end
  end
end
