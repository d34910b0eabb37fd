# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # The ports of a unit at which no cable ends.
      class FreePorts
        # @param set [Model::WorkingSet, Change::Draft]
        # @param unit [Model::Element]
        def initialize(set, unit)
          @ports = Ports.of(set, unit)
          @used = CableEnds.of(set, unit.id).filter_map(&:label).to_set
        end

        attr_reader :ports

        # @return [Integer] without going through them
        def count = ports.count - @used.count { |label| ports.find(label) }

        # @return [Enumerator::Lazy<Port>] in order
        def each = ports.each.lazy.reject { |port| @used.include?(port.label) }

        # @return [Port, nil]
        def first = each.first

        def free?(label) = !@used.include?(label)
      end
    end
  end
end
