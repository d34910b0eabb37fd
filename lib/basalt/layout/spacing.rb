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
          pools[-2..] = [merge(*pools.last(2))] while pools.length > 1 && pools[-2][0] > pools[-1][0]
        end
        pools.flat_map { |position, _, count| [position] * count }.each_with_index.map { |position, index| position + offsets[index] }
      end

      # As +solve+, kept between two bounds; where there is too little room the gaps shrink.
      def within(wanted, gaps, low, high)
        needed = gaps.drop(1).sum
        room = high - low
        gaps = gaps.map { |gap| gap * room / needed } if needed > room && needed.positive?
        offsets = offsets(gaps)
        total = offsets.last || 0
        solve(wanted, gaps).each_with_index.map { |x, i| x.clamp(low + offsets[i], [high - total + offsets[i], low + offsets[i]].max) }
      end

      def offsets(gaps)
        sum = 0
        gaps.each_with_index.map { |gap, index| index.zero? ? 0 : sum += gap }
      end

      def merge(one, other)
        weight = one[1] + other[1]
        [((one[0] * one[1]) + (other[0] * other[1])) / weight, weight, one[2] + other[2]]
      end
    end
  end
end
