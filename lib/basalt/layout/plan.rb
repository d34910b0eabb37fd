# frozen_string_literal: true

module Basalt
  module Layout
    # What a layout comes to: top left corners of nodes by id, the points of lines by id, and the middles of
    # the labels that were given room of their own, by the id of their line.
    Plan = Value.of(:corners, :routes, :words)
  end
end
