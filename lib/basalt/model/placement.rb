# frozen_string_literal: true

module Basalt
  module Model
    # An occurrence of an element on a sheet; an element that stands there once more has further ones (+again+ in the
    # +shape+). Things have a box (+x+, +y+, +w+, +h+, in
    # px of the sheet); lines have a +route+ (+points+ and +labels+). A nil +x+ is not
    # arranged yet; with a place and no size it waits to be measured. +shape+ holds what a symbol needs beyond its box.
    # What stands somewhere +by_hand+ was put there by a person; all else is Basalt's to arrange.
    Placement = Value.of(
      :id, :sheet_id, :element_id, :x, :y, :w, :h, :pinned, :by_hand, :shape, :route, :ordinal, pinned: false, by_hand: false
    ) do
      def with(**changes) = copied(changes)

      def box = x && w && Layout::Box.new(x:, y:, w:, h:)

      # @return [Boolean] whether the element stands there besides
      def again? = shape ? shape["again"] == true : false

      # @return [Boolean] whether it stands for what it contains
      def closed? = shape ? shape["closed"] == true : false

      # @return [String] what it is known by on its sheet: the element, or itself where it is a further occurrence
      def key = again? ? id : element_id

      # @return [Boolean] whether it stands in every index as another row of the same id does: copies share what they did not alter
      def found_as?(other)
        sheet_id.equal?(other.sheet_id) && element_id.equal?(other.element_id) && shape.equal?(other.shape) && ordinal == other.ordinal
      end

      # @return [Hash{String => String}] of a line: by the role of an end the occurrence that it is at, where that is a further one
      def attached = shape&.fetch("at", nil) || {}

      # @return [Boolean] whether somebody drew the line's way by hand
      def kept? = route ? route["kept"] == true : false
    end
  end
end
