# frozen_string_literal: true

module Basalt
  module Drawing
    class Notation
      # The other ways to draw a sheet, and what the legend explains.
      module Looks
        # The notation as a sheet with this view has it.
        #
        # @param view [Hash, nil]
        # @return [Notation]
        def shown(_view) = self

        # @return [Boolean] whether a thing lies beneath all others, as an image of what they stand on does
        def beneath?(_thing) = false

        # @return [Boolean] whether its symbols have room for small pictures of what they open into
        def pictures? = false

        # @return [Hash{String => String}] other ways to draw a sheet of it, by what its view keeps, with the words for them
        def variants = {}

        # @return [String] the words for the way it is drawn in where no other was chosen
        def plain = "boxes"

        # @return [Array<Array(String, Symbol, Object, Object)>] words, type of sample, sample and mark
        #   of what the legend can explain; an entry is shown when its mark occurs. A sample of type +:shapes+ is a
        #   function that draws it from a point on, 34 px wide and 16 px high around the height of the point
        def legend = []

        # @return [Array] the marks that occur at an element
        def marks(_set, _element) = []
      end
    end
  end
end
