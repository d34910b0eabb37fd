# frozen_string_literal: true

module Basalt
  module Layout
    # Something to lay out: its size, its level (0 is the highest), and the surfaces at which
    # lines end. +beside+ says whether a neighbour may be joined by a straight line at its side, +rise+
    # how much room its words take above it, px.
    Node = Value.of(:id, :w, :h, :level, :top, :bottom, :beside, rise: 0) do
      # @return [Node] a box with lines ending along its upper and lower edge
      def self.box(id, w, h, level)
        inset = [14, w / 2.0].min
        new(id:, w:, h:, level:, top: Surface.new(from: inset, to: w - inset, y: 0),
            bottom: Surface.new(from: inset, to: w - inset, y: h), beside: true)
      end
    end
  end
end
