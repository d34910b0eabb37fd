# frozen_string_literal: true

module Basalt
  module Statements
    # Known things, separated by commas.
    class ThingsSlot
      def initialize
        @thing = ThingSlot.new
      end

      def stops?(_token) = false

      def candidates(matcher, node, rest, at, &found)
        gather(matcher, node, rest, at, [], &found)
      end

      private

      def gather(matcher, node, rest, at, taken, &found)
        @thing.candidates(matcher, node, rest, at) do |element, after|
          so_far = taken + [element]
          if matcher.token(after)&.mark? && matcher.token(after).text == ","
            gather(matcher, node, rest, after + 1, so_far, &found)
          end
          yield so_far, after
        end
      end
    end
  end
end
