# frozen_string_literal: true

module Basalt
  module Network
    module Floors
      # Several points behind each other, such as +0.5/1 8/1 8/6+.
      class PointsSlot
        def stops?(_token) = false

        def candidates(matcher, _node, _rest, at)
          words = matcher.tokens[at..].to_a.take_while { |token| token.word? && token.text.match?(Point::WORD) }.map(&:text)
          return matcher.expect(at, "points such as 0.5/1 8/1") if words.empty?

          yield words.join(" "), at + words.length
        end

        def sample = "0.5/1 8/1"
        def write(value) = value.to_s
      end
    end
  end
end
