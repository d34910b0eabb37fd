# frozen_string_literal: true

module Basalt
  module Cloud
    module Reach
      # What the rules of some groups let pass in one direction, by whom they speak of.
      class Spoken
        # @param rules [Array<Rule>]
        def initialize(rules)
          @by_peer = rules.group_by(&:peer).transform_values { |some| some.map(&:traffic).reduce(:|) }
          @anyone = @by_peer.delete(nil) || Traffic::NONE
        end

        # @param peer [Party] found by the parts that it shares with others
        # @return [Traffic]
        def of(peer) = of_any(peer.around) | of_any(peer.group_ids)

        private

        # @param names [Array<String, Addresses::Prefix>] under which rules may speak of somebody
        def of_any(names)
          found = @anyone
          names.each do |name|
            passing = @by_peer[name]
            found |= passing if passing
          end
          found
        end
      end
    end
  end
end
