# frozen_string_literal: true

module Basalt
  module Drawing
    class Notation
      # The symbols of things: how large they are, what they are made of, what keeps clear of them.
      module Things
        # @return [Array(Numeric, Numeric)] width and height of a thing's symbol, px
        def size(_set, _thing) = raise(NotImplementedError)

        # @return [Boolean] whether a thing's symbol grows with what it says
        def fits?(_thing) = true

        # @return [Boolean] whether the symbols of what a relation joins tell of it, and grow with it
        def told_at_ends?(_relation) = false

        # @return [Boolean] whether symbols tell of each other, and of what joins them to things elsewhere: all of a sheet are drawn
        #   again together
        def together? = false

        # @return [Array<String>] kinds that stand on no sheet and tell how all symbols are drawn
        def telling = []

        # @return [Boolean] whether something tells of what it is not joined to by a line that is drawn
        def tells_of_others? = false

        # @param _altered [Array<Model::Element>]
        # @return [Array<String>] ids of what tells of these
        def tellers(_set, _altered) = []

        # @return [Boolean] whether somebody may give a thing a size
        def sizable?(_thing) = false

        # What a placement becomes when somebody gives it a size.
        #
        # @return [Hash, nil] nil where the size follows from the words
        def sized(_set, _thing, _placement, _width, _height) = nil

        # @return [Array] shapes of a thing at its placement
        def thing_shapes(_set, _thing, _placement) = raise(NotImplementedError)

        # @return [Array] shapes of what is drawn around what it contains
        def boundary_shapes(_set, thing, placement) = Boundary.shapes(thing, placement.box)

        # @return [Numeric] how wide the words are that stand at the top of it, px
        def boundary_words(thing) = Boundary.label_width(thing)

        # @param count [Integer] how many things a collapsed boundary stands for
        # @return [Array(Numeric, Numeric)] width and height, px
        def closed_size(set, thing, _count) = size(set, thing)

        # @param count [Integer] how many things a collapsed boundary stands for
        # @return [Array] shapes
        def closed_shapes(set, thing, placement, _count) = thing_shapes(set, thing, placement)

        # @return [Array<Layout::Box>] what lines and labels keep clear of, of a thing
        def obstacles(_set, _thing, placement) = [placement.box]

        # @return [Array<Layout::Box>] what lines may cross, of a thing, but no other thing may stand on
        def bars(_set, _thing, _placement) = []
      end
    end
  end
end
