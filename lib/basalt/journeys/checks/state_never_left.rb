# frozen_string_literal: true

module Basalt
  module Journeys
    module Checks
      # A state in which a thing would stay for ever, though it is not one in which it ends.
      class StateNeverLeft < StateCheck
        rule "state-never-left", :warning, reads: READS

        private

        def of(states)
          (states.names & states.lives.reached.to_a)
            .reject { |name| states.ends.include?(name) || states.lives.left.include?(name) }
            .map do |name|
              finding([states.element.id, states.thing.id], "No step moves #{states.thing.name} on from #{name}",
                      "It comes to be #{name}, and stays so for ever: the journey to what follows is missing, or it ends there.")
            end
        end
      end
    end
  end
end
