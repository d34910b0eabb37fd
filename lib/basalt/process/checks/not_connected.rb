# frozen_string_literal: true

module Basalt
  module Process
    module Checks
      # Something on a sheet that nothing flows to or from.
      class NotConnected < FlowCheck
        rule "not-connected", :hint, reads: [*Kinds::ENDS, "flow", "sheet"], each: Kinds::ENDS

        def about(thing)
          return [] if set.relations_of(thing.id, "flow").any? || !drawn?(thing.id)

          [
            finding(
              thing.id,
              "Nothing flows to or from #{thing.name}",
              "What stands alone on such a sheet tells nobody why it is there."
            )
          ]
        end
      end
    end
  end
end
