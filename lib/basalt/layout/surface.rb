# frozen_string_literal: true

module Basalt
  module Layout
    # Something to lay out: its size, its level (from above), and where lines may end at it.
    # +top+ and +bottom+ are surfaces: the span of x (from its left edge) and the y (from its top).
    Surface = Value.of(:from, :to, :y)
  end
end
