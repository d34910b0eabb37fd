# frozen_string_literal: true

module Basalt
  module Journeys
    module Checks
      # A step that may be refused, behind which nobody said what happens then.
      class RefusalUnhandled < JourneyCheck
        rule "refusal-unhandled", :hint, reads: READS

        private

        def at(one, step)
          return [] unless step.element["refusable"] || step.element["signs_in"]
          return [] if one.course.branches_of(step.element.id).any? { |branch| branch["refusal"] }

          [finding(about(step), "What happens where #{title(one, step.element)} is refused?",
                   "Whoever builds it will decide that alone. “branch #{step.number}a of #{one.journey.name} on refusal: …” says it.")]
        end
      end
    end
  end
end
