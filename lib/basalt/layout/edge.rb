# frozen_string_literal: true

module Basalt
  module Layout
    # A line to lay out between two nodes. +room+ is the width, in px, that labels need at each
    # end, and +middle+ what one in the middle needs. +from_port+ and +to_port+, where given, are
    # how far from the left edge of its node each end is, px. +lane+, where given, is the width and height of
    # a label that is to have a lane of its own between the levels, where no other line runs.
    Edge = Value.of(:id, :from, :to, :from_port, :to_port, :lane, from_room: 0, to_room: 0, middle: 0) do
      # @return [Numeric, nil]
      def port(node_id) = node_id == from ? from_port : to_port
      def room(node_id) = node_id == from ? from_room : to_room
    end
  end
end
