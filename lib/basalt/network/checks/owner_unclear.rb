# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # A circuit of a carrier of which neither end is at somebody else's.
      class OwnerUnclear < CableCheck
        rule "owner-unclear", :warning, reads: READS, each: "link"

        def about(cable)
          return [] unless cable["circuit"] && cable.targets.none? { |id| foreign?(id) }

          [
            finding(
              [cable.id, *cable.targets],
              "Nobody knows where the carrier's side of #{title(cable).sub("The", "the")} begins",
              "Both ends are ours as it stands. Say who owns one of them, as in “router pe-01 owned by Northline”, so that it is settled " \
              "who decides its ports and who is called when it is down."
            )
          ]
        end

        private

        def foreign?(id) = set.element(id)&.then { |one| one.kind == "outside" || (one.kind == "device" && Owners.of(set, one).any?) }
      end
    end
  end
end
