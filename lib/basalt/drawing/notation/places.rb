# frozen_string_literal: true

module Basalt
  module Drawing
    class Notation
      # Where things stand.
      module Places
        # Lays the sheet out afresh.
        #
        # @param only [Array<String>, nil] ids of the things to lay out; nil for all
        # @param quick [Boolean] try less than what takes longest
        # @param crowded [Array<String>] ids of lines whose words lay on other lines when it was laid out before, as often as they did
        # @return [Hash{String => Hash}] for each element id what its placement becomes
        def tidy(_set, _sheet_id, only: nil, quick: false, crowded: []) = raise(NotImplementedError)

        # @return [Boolean] whether laying it out gives words that lay on other lines room of their own
        def lanes? = false

        # @return [Object] the lane of a thing where a sheet is laid out in lanes
        def lane(_set, thing) = thing.noun

        # Places where a new thing could stand, best first.
        #
        # @param extent [Layout::Box, nil] around what stands there
        # @return [Enumerator<Array(Numeric, Numeric)>] top left corners
        def candidate_positions(_set, _sheet_id, _thing, _size, _extent) = [].each

        # @return [Geometry, nil] (see Geometry#initialize) that has a place for everything of a sheet; nil where things are arranged
        def geometry(_set, _sheet_id, _was = nil, _altered = nil) = nil

        # @return [Boolean] whether there is one
        def ruled? = false
      end
    end
  end
end
