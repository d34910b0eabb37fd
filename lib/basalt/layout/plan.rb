# frozen_string_literal: true

module Basalt
  module Layout
    # What a layout comes to: top left corners of nodes by id, and the points of lines by id.
    Plan = Value.of(:corners, :routes)
  end
end
