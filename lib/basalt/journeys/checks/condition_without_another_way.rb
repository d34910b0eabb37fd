# frozen_string_literal: true

module Basalt
  module Journeys
    module Checks
      # A condition of which nobody said what happens otherwise, or a branch in which nothing happens.
      class ConditionWithoutAnotherWay < JourneyCheck
        rule "condition-without-another-way", :hint, reads: READS

        private

        def found = survey.journeys.flat_map { |one| one.course.entries.filter_map { |entry| at_entry(one, entry.element) } }

        def at_entry(one, element)
          element.kind == Kinds::STEP ? step(one, element) : branch(one, element)
        end

        def step(one, element)
          return if element["condition"].nil? || one.course.branches_of(element.id).any?

          finding(element.id, "#{begun(title(one, element))} happens when #{element["condition"]}: and otherwise?",
                  "As it stands it is left out then, and nothing comes in its place.")
        end

        def branch(one, element)
          return if one.course.steps_of(element.id).any? || one.course.resumes(element.id)

          finding(element.id, "In #{title(one, element)} nothing happens",
                  "It says when it is taken, and neither what is done then nor where it goes on.")
        end
      end
    end
  end
end
