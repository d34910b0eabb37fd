# frozen_string_literal: true

module Basalt
  module Data
    # Known entities with or without articles, separated by commas and "and".
    class EntitiesSlot
      def initialize
        @thing = Statements::ThingSlot.new
      end

      def stops?(_token) = false
      def candidates(matcher, node, rest, at, &) = gather(matcher, node, rest, at, [], &)

      private

      def gather(matcher, node, rest, at, taken, &found)
        starts(matcher, at).each do |start|
          @thing.candidates(matcher, node, rest, start) do |entity, after|
            so_far = taken + [entity]
            gather(matcher, node, rest, after + 1, so_far, &found) if [",", "and"].any? { |word| matcher.token(after)&.literal?(word) }
            yield so_far, after
          end
        end
      end

      def starts(matcher, at) = %w[a an the].any? { |word| matcher.token(at)&.literal?(word) } ? [at + 1, at] : [at]
    end
  end
end
