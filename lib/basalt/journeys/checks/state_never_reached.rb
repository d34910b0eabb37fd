# frozen_string_literal: true

module Basalt
  module Journeys
    module Checks
      # A state that no step moves a thing to.
      class StateNeverReached < StateCheck
        rule "state-never-reached", :warning, reads: READS

        private

        def of(states)
          (states.names - states.lives.reached.to_a).map do |name|
            finding([states.element.id, states.thing.id], "No step makes #{states.thing.name} #{name}",
                    "The state is named, and nothing leads to it: a journey is missing, or nobody needs it.")
          end
        end
      end
    end
  end
end
