# frozen_string_literal: true

module Basalt
  module Layout
    # A line to lay out between two nodes. +room+ is the width, in px, that labels need at each
    # end, and +middle+ what one in the middle needs.
    Edge = Value.of(:id, :from, :to, :from_room, :to_room, :middle) do
      def initialize(from_room: 0, to_room: 0, middle: 0, **rest)
        super(from_room:, to_room:, middle:, **rest)
      end

      def room(node_id) = node_id == from ? from_room : to_room
    end
  end
end
