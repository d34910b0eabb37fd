# frozen_string_literal: true

module Basalt
  module Journeys
    module Checks
      # A requirement that no journey is walked for, where others are.
      class RequirementUncovered < JourneyCheck
        rule "requirement-uncovered", :hint, reads: READS

        REQUIREMENT = "requirement"

        private

        def found
          covered = walked_for
          return [] if covered.empty?

          wanted = set.of_kind(REQUIREMENT).reject { |one| one["state"] == "dropped" || covered.include?(one.id) }
          wanted.map do |one|
            finding(one.id, "No journey is walked for #{one.name}",
                    "#{one["text"] || "What it asks for"}: nobody tried whether that can be done.")
          end
        end

        def walked_for
          ids = survey.journeys.flat_map { |one| [one.journey.id, *one.course.steps.map(&:id)] }
          ids.flat_map { |id| Declared.met(set, id) }.to_set
        end
      end
    end
  end
end
