# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # An actor within the boundary of the system.
      class ActorInsideBoundary < Basalt::Checks::Check
        rule "actor-inside-boundary", :error, reads: %w[actor system], each: "actor"

        def about(actor)
          around = actor.container_id && set.element(actor.container_id) or return []
          [
            finding(
              actor.id,
              "#{actor.name} stands in #{around.name}",
              "An actor is whoever deals with the system from outside (UML 2.5.1, 18.1.3).",
              repair: repair("Put #{actor.name} outside", Change::Set.new(id: actor.id, fact: "container", value: nil))
            )
          ]
        end
      end
    end
  end
end
