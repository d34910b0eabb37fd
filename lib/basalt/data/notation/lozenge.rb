# frozen_string_literal: true

module Basalt
  module Data
    module Notation
      # The diamond of a relationship (Chen, "The Entity-Relationship Model", 1976), with the
      # ovals of its attributes beside it; a second outline where it identifies.
      class Lozenge
        HEIGHT = 46
        MOST = 180
        GAP = 14
        S = Drawing::Shapes

        # @param ovals [Array<Oval>]
        # @param double [Boolean]
        def initialize(text, ovals: [], double: false)
          @text = Drawing::Pens.fit(text, :verb, MOST)
          @ovals = ovals
          @double = double
        end

        def inner = Drawing::Pens.width(@text, :verb) + 64
        def beside = @ovals.empty? ? 0 : GAP + @ovals.map(&:width).max
        def width = (inner + (2 * beside)).ceil
        def height = [HEIGHT, (@ovals.length * Oval::PITCH) - Oval::GAP].max

        # @return [Array] shapes around a middle
        def shapes(x, y)
          joined = @ovals.each_with_index.flat_map { |oval, index| attached(oval, index, x, y) }
          joined + [diamond(x, y, 0), *([diamond(x, y, 5)] if @double), S.text(x, y + 4, @text, :verb, :middle)]
        end

        private

        def diamond(x, y, within)
          half = (inner / 2.0) - (within * 2)
          tall = (HEIGHT / 2.0) - within
          S.path(
            "M#{S.numbers(x - half, y)}L#{S.numbers(x, y - tall)}L#{S.numbers(x + half, y)}L#{S.numbers(x, y + tall)}Z",
            within.zero? ? :outline : :inner
          )
        end

        def attached(oval, index, x, y)
          top = y - (((@ovals.length * Oval::PITCH) - Oval::GAP) / 2.0)
          at = [x + (inner / 2.0) + GAP + (oval.width / 2.0), top + (index * Oval::PITCH) + (Oval::HEIGHT / 2.0)]
          [S.polyline([[x + (inner / 2.0) - 4, y], [at[0] - (oval.width / 2.0), at[1]]], :line), *oval.shapes(*at)]
        end
      end
    end
  end
end
