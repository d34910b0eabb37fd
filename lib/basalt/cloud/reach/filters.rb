# frozen_string_literal: true

module Basalt
  module Cloud
    module Reach
      # What rule groups and lists let pass, worked out once for parties that rules see as the same.
      class Filters
        # @param landscape [Landscape]
        def initialize(landscape)
          @landscape = landscape
          @spoken = %w[in out].to_h { |direction| [direction, {}.compare_by_identity] }
          @listed = Known.new
        end

        # @param group_ids [Array<String>] groups of who speaks or is spoken to; what is in none is not held back
        # @param direction [String] +in+ or +out+
        # @param peer [Party] who is at the other side
        # @return [Traffic]
        def grouped(group_ids, direction, peer)
          return Traffic::ALL if group_ids.empty?

          spoken = @spoken.fetch(direction)
          (spoken[group_ids] ||= Spoken.new(rules(group_ids).select { |rule| rule.direction == direction })).of(peer)
        end

        # @param list_id [String, nil] nil where nothing is known of one: then nothing is held back
        # @return [Traffic]
        def listed(list_id, direction, peer)
          return Traffic::ALL unless list_id

          list = @landscape.lists.fetch(list_id)
          @listed.fetch(list, direction.to_sym, peer.around) { in_order(list.rules, direction, peer) }
        end

        # @return [Boolean] whether a rule says something of what passes between its holder and the peer
        def applies?(rule, direction, peer)
          return false unless rule.direction == direction

          case rule.peer
          when nil then true
          when String then peer.group_ids.include?(rule.peer)
          else peer.around.include?(rule.peer)
          end
        end

        # @return [Array<Rule>]
        def rules(group_ids) = group_ids.flat_map { |id| @landscape.groups.fetch(id).rules }

        private

        # The first rule that applies decides.
        def in_order(rules, direction, peer)
          open, passing = Traffic::ALL, Traffic::NONE
          rules.each do |rule|
            next unless applies?(rule, direction, peer)

            passing |= rule.traffic & open if rule.allows
            open -= rule.traffic
          end
          passing
        end
      end
    end
  end
end
