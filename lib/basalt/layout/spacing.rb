# frozen_string_literal: true

module Basalt
  module Layout
    # Positions in a row: as near as can be to where each wants to be, in the given order and
    # not closer than asked. Least squares by pooling adjacent violators (Ayer and others, 1955).
    module Spacing
      module_function

      # @param wanted [Array<Numeric>]
      # @param gaps [Array<Numeric>] least distance of each from the one before; the first is not used
      # @param weights [Array<Numeric>]
      # @return [Array<Float>]
      def solve(wanted, gaps, weights = Array.new(wanted.length, 1.0))
        offsets = offsets(gaps)
        pools = []
        wanted.each_with_index do |position, index|
          pools << [(position - offsets[index]).to_f, weights[index].to_f, 1]
          pools << merge(pools.pop, pools.pop) while pools.length > 1 && pools[-2][0] > pools[-1][0]
        end
        spread(pools, offsets)
      end

      # As +solve+, kept between two bounds; where there is too little room the gaps shrink.
      def within(wanted, gaps, low, high)
        needed = gaps.drop(1).sum
        room = high - low
        gaps = gaps.map { |gap| gap * room / needed } if needed > room && needed.positive?
        offsets = offsets(gaps)
        total = offsets.last || 0
        found = solve(wanted, gaps)
        found.each_index do |index|
          lowest = low + offsets[index]
          highest = high - total + offsets[index]
          found[index] = found[index].clamp(lowest, highest > lowest ? highest : lowest)
        end
      end

      # @param pools [Array<Array(Float, Float, Integer)>] positions, weights and how many stand there
      # @return [Array<Float>] where each of them is
      def spread(pools, offsets)
        index = -1
        pools.flat_map { |position, _, count| Array.new(count) { position + offsets[index += 1] } }
      end

      def offsets(gaps)
        sum = nil
        gaps.map { |gap| sum = sum ? sum + gap : 0 }
      end

      def merge(other, one)
        weight = one[1] + other[1]
        [((one[0] * one[1]) + (other[0] * other[1])) / weight, weight, one[2] + other[2]]
      end
    end
  end
end
