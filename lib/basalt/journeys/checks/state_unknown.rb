# frozen_string_literal: true

module Basalt
  module Journeys
    module Checks
      # A step that moves what has no states, or to one that it does not have.
      class StateUnknown < StateCheck
        rule "state-unknown", :error, reads: READS

        private

        def found
          known = states.to_h { |one| [one.thing.name, one] }
          survey.journeys.flat_map do |one|
            one.steps.select { |step| step.element["moves"] }.filter_map { |step| strange(one, step, known[step.element["moves"]]) }
          end
        end

        def strange(one, step, states)
          name = step.element["moves"]
          wrong = [step.element["was"], step.element["state"]].compact - (states&.names || [])
          return if wrong.empty?

          known = states ? "It goes through #{English.list(states.names)}." : "Nobody said which: “#{name} goes through one, another”."
          finding([step.element.id, *states&.thing&.id], "#{name} has no state #{wrong.first}, as #{title(one, step.element)} has it",
                  known)
        end
      end
    end
  end
end
