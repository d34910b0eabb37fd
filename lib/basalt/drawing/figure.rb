# frozen_string_literal: true

module Basalt
  module Drawing
    # How a kind is drawn that brings its own symbol and stands on sheets of any notation.
    class Figure
      # @return [Boolean] whether it has no place of its own: it is drawn around others, wherever these stand
      def outline? = false

      # @return [Array<Layout::Box>] that an outline is made of
      def outlines(_set, _sheet_id, _thing) = []

      # @return [Array] shapes of its name there
      def name_shapes(_set, _sheet_id, _thing) = []

      # @return [Array] shapes of an outline
      def outline_shapes(_set, _sheet_id, _thing) = []

      # @return [Array(Numeric, Numeric)] width and height, px
      def size(_thing) = raise(NotImplementedError)

      # @return [Array] shapes
      def shapes(_thing, _placement) = raise(NotImplementedError)

      # @return [Array<Layout::Box>] what lines and labels keep clear of
      def obstacles(_thing, placement) = [placement.box]

      # @return [Hash] what a placement becomes when somebody gives it a size
      def sized(_thing, _placement, width, height) = { w: [width, 24].max, h: [height, 16].max }
    end
  end
end
