# frozen_string_literal: true

module Basalt
  module Journeys
    module Checks
      # A requirement that no journey is walked for, where others are.
      class RequirementUncovered < JourneyCheck
        rule "requirement-uncovered", :hint, reads: READS

        REQUIREMENT = "requirement"
        # What is met by how things are built, and not by what somebody does.
        UNWALKED = %w[quality constraint].freeze

        private

        def found
          covered = walked_for
          return [] if covered.empty?

          wanted = set.of_kind(REQUIREMENT).reject { |one| left_out?(one) || covered.include?(one.id) }
          wanted.map do |one|
            finding(one.id, "No journey is walked for #{one.name}",
                    "#{(one["text"] || "What it asks for").delete_suffix(".")}: nobody tried whether that can be done.")
          end
        end

        def left_out?(requirement) = requirement["state"] == "dropped" || UNWALKED.include?(requirement["type"])

        def walked_for
          ids = survey.journeys.flat_map { |one| [one.journey.id, *one.course.steps.map(&:id)] }
          ids.flat_map { |id| Declared.met(set, id) }.to_set
        end
      end
    end
  end
end
