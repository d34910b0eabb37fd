# frozen_string_literal: true

module Drawings
  # A sheet of paper: size by name, orientation, and whether a drawing is fitted on one or
  # spread over as many as it takes at its true size. Lengths in mm; ISO 216.
  class Paper
    SIZES = { "A4" => [210, 297], "A3" => [297, 420], "A2" => [420, 594], "A1" => [594, 841], "A0" => [841, 1189] }.freeze
    MARGIN = 10
    FOOT = 5
    # px of a drawing to a mm, at 96 to the inch.
    PER_MM = 96 / 25.4

    # @raise [Basalt::Mistake] for a size or word that there is not
    def initialize(size: "A3", orientation: "landscape", spread: "one")
      @size = size
      @orientation = orientation
      @spread = spread
      raise Basalt::Mistake, "Paper is #{SIZES.keys.join(', ')}, not “#{Basalt::Model::Names.short(size)}”" unless SIZES.key?(size)
      raise Basalt::Mistake, "Paper lies landscape or portrait" unless %w[landscape portrait].include?(orientation)
      raise Basalt::Mistake, "A drawing goes on one sheet of paper or on tiles" unless %w[one tiles].include?(spread)
    end

    def tiles? = @spread == "tiles"
    def width = @orientation == "landscape" ? SIZES[@size].max : SIZES[@size].min
    def height = @orientation == "landscape" ? SIZES[@size].min : SIZES[@size].max

    # Room for the drawing.
    def inner_width = width - (2 * MARGIN)
    def inner_height = height - (2 * MARGIN) - FOOT
  end
end
