# frozen_string_literal: true

module Basalt
  module Cloud
    module Reach
      # Protocols with their ports as one set of whole numbers: TCP from 0, UDP behind it, then ICMP, then all other protocols together.
      # Frozen; +ranges+ are sorted, apart from each other, and no two of them touch.
      class Traffic
        PORTS = 65_536
        SPANS = { "tcp" => 0..(PORTS - 1), "udp" => PORTS..((2 * PORTS) - 1), "icmp" => (2 * PORTS)..(2 * PORTS),
                  "other" => ((2 * PORTS) + 1)..((2 * PORTS) + 1) }.freeze
        PORTED = %w[tcp udp].freeze
        # Ports that whoever asks listens on for the answer (RFC 6056, 3.2).
        ANSWERS = 1024..65_535
        # How many ranges of a protocol are told before the rest is counted.
        TOLD = 6

        class << self
          # @param protocol [String] one of SPANS, or +any+
          # @param ports [Range<Integer>, nil] all where nil; without meaning for protocols that have none
          # @return [Traffic]
          def of(protocol, ports = nil)
            return ALL if protocol == "any"

            span = SPANS.fetch(protocol)
            return new([span]) if ports.nil? || !PORTED.include?(protocol)

            new([(span.first + ports.first)..(span.first + ports.last)])
          end

          # @param point [Array(String, Integer)] protocol and port
          # @return [Integer]
          def number(protocol, port) = SPANS.fetch(protocol).first + (PORTED.include?(protocol) ? port : 0)
        end

        # @param ranges [Array<Range<Integer>>] in any order
        # @param joined [Boolean] whether they are in order and apart from each other
        def initialize(ranges, joined: false)
          @ranges = (joined ? ranges : Traffic.joined(ranges)).freeze
          freeze
        end

        # @return [Array<Range<Integer>>]
        attr_reader :ranges

        def self.joined(ranges)
          ranges.sort_by(&:first).each_with_object([]) do |range, found|
            if found.any? && range.first <= found.last.last + 1
              found[-1] = found.last.first..[found.last.last, range.last].max
            else
              found << range
            end
          end
        end

        def empty? = ranges.empty?
        def any? = ranges.any?
        def ==(other) = other.is_a?(Traffic) && ranges == other.ranges
        alias eql? ==
        def hash = ranges.hash

        def |(other)
          return self if other.empty? || equal?(other) || equal?(ALL)
          return other if empty? || other.equal?(ALL)

          Traffic.new(ranges + other.ranges)
        end

        def &(other)
          return self if other.equal?(ALL) || equal?(other)
          return other if equal?(ALL)

          # What lies between two ranges of either lies between what they have in common.
          common(other).then { |found| found.empty? ? NONE : Traffic.new(found, joined: true) }
        end

        def -(other)
          return self if empty? || other.empty?

          self & other.complement
        end

        # @return [Traffic] all that is not in it
        def complement
          edges = [-1, *ranges.flat_map { |range| [range.first, range.last] }, SPANS["other"].last + 1]
          Traffic.new(edges.each_slice(2).filter_map { |low, high| (low + 1)..(high - 1) if low + 1 <= high - 1 })
        end

        def cover?(other) = (other - self).empty?

        # @param number [Integer] (see Traffic.number)
        def include?(number)
          found = ranges.bsearch { |range| range.last >= number }
          !found.nil? && found.first <= number
        end

        # @return [Traffic] of the protocols whose answers it lets back, whatever port they were asked from
        def answered
          kept = SPANS.select do |protocol, _|
            cover?(Traffic.of(protocol, PORTED.include?(protocol) ? ANSWERS : nil))
          end
          kept.length == SPANS.length ? ALL : Traffic.new(kept.values)
        end

        # @return [String] such as +tcp 443, 8000-8010; icmp+
        def to_s
          return "nothing" if empty?
          return "everything" if self == ALL

          SPANS.filter_map { |protocol, span| of_protocol(protocol, span) }.join("; ")
        end

        # @return [Integer] how many ports of TCP and UDP
        def port_count = (self & Traffic.new([SPANS["tcp"], SPANS["udp"]])).ranges.sum(&:size)

        private

        def common(other)
          found = []
          one = two = 0
          while (a = ranges[one]) && (b = other.ranges[two])
            low, high = [a.first, b.first].max, [a.last, b.last].min
            found << (low..high) if low <= high
            a.last < b.last ? one += 1 : two += 1
          end
          found
        end

        def of_protocol(protocol, span)
          parts = ranges.filter_map do |range|
            low, high = [range.first, span.first].max, [range.last, span.last].min
            (low - span.first)..(high - span.first) if low <= high
          end
          return if parts.empty?
          return protocol if parts == [0..(span.size - 1)]

          "#{protocol} #{parts.first(TOLD).map { |part| part.size == 1 ? part.first : "#{part.first}-#{part.last}" }.join(", ")}" \
            "#{" and #{parts.length - TOLD} more" if parts.length > TOLD}"
        end
      end

      Traffic::NONE = Traffic.new([])
      Traffic::ALL = Traffic.new(Traffic::SPANS.values)
    end
  end
end
