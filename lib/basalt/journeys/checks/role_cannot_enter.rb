# frozen_string_literal: true

module Basalt
  module Journeys
    module Checks
      # A step that is only for who is signed in, to which there is a way without signing in.
      class RoleCannotEnter < JourneyCheck
        rule "role-cannot-enter", :warning, reads: READS

        private

        def found = survey.journeys.flat_map { |one| one.course.steps.any? { |step| step["signed_in"] } ? locked(one) : [] }

        # What can be come to without a step that signs in.
        def locked(one)
          outside = Flow.new(one.course).reached { |id| !set.element(id)["signs_in"] }
          one.steps.select { |step| step.element["signed_in"] && !step.element["signs_in"] && outside.include?(step.element.id) }
            .first(1).map { |step| barred(one, step) }
        end

        def barred(one, step)
          finding(about(step), "#{begun(one.journey["who"] || "whoever walks")} comes to #{title(one, step.element)} without having " \
                               "signed in",
                  "The step is only for who is signed in, and there is a way to it on which nobody signs in.")
        end
      end
    end
  end
end
