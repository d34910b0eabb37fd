# frozen_string_literal: true

module Basalt
  module Journeys
    module Checks
      # Steps that lead to each other in a circle, without a way to the end.
      class JourneyWithoutEnd < JourneyCheck
        rule "journey-without-end", :error, reads: READS

        private

        def found
          survey.journeys.filter_map do |one|
            circle = Flow.new(one.course).endless
            circling(one, one.course.steps.select { |step| circle.include?(step.id) }) if circle.any?
          end
        end

        def circling(one, steps)
          numbers = English.list(steps.first(6).map { |step| one.course.number(step.id) })
          finding([one.journey.id, *steps.first(6).map(&:id)], "#{one.journey.name} never ends behind " \
                                                               "#{English.count(steps.length, "step")}: #{numbers}",
                  "Each goes on at another of them, and none leads out.")
        end
      end
    end
  end
end
