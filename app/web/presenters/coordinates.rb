# frozen_string_literal: true

module Web
  module Presenters
    # A box as the page's scripts read it.
    module Coordinates
      # @param box [Basalt::Layout::Box]
      # @return [String] left, top, width and height, px
      def self.of(box) = [box.x, box.y, box.w, box.h].map { |side| side.round(1) }.join(" ")
    end
  end
end
