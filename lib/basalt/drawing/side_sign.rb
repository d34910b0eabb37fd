# frozen_string_literal: true

module Basalt
  module Drawing
    # A tag with a few words at the lower left corner of a thing, or on a line: what was decided of it, where a sheet shows that.
    module SideSign
      HEIGHT = 15
      # The most room that its words have, px.
      WIDTH = 150
      # How far from its beginning it is on a line, px.
      ALONG = 34
      LEGEND = ["was decided", :shapes, ->(x, y) { tag(x + 10, y - 7, "D") }, nil].freeze

      module_function

      # @param box [Layout::Box] of the thing
      # @return [Array] shapes
      def at(box, words) = tag(box.x - 5, box.bottom - 7, words)

      # @param points [Array] of the line
      def on(points, words)
        x, y = Layout::Polyline.at(points, [ALONG, Layout::Polyline.length(points) / 3.0].min)
        tag(x - (width(words) / 2.0), y - (HEIGHT / 2.0), words)
      end

      def tag(x, y, words)
        w = width(words)
        outline = "M#{Shapes.numbers(x, y)}h#{Shapes.n w}l5 #{Shapes.n HEIGHT / 2.0}l-5 #{Shapes.n HEIGHT / 2.0}h#{Shapes.n(-w)}Z"
        [Shapes.path(outline, :side_sign), Shapes.text(x + 5, y + 11, Pens.fit(words, :identifier, WIDTH), :identifier)]
      end

      def width(words) = [Pens.width(words, :identifier), WIDTH].min + 8
    end
  end
end
