# frozen_string_literal: true

module Basalt
  module Drawing
    class Notation
      # Lines: what is said at them, how they are drawn, where they may end at a thing.
      module Lines
        # @return [Array<String>] kinds of lines that can be drawn from thing to thing
        def joining = lines

        # @return [Array<Label>] the texts at a line
        def labels(_set, _line) = []

        # @return [Boolean] whether lines between the same things can be called together, and are drawn as one then (see AsDrawn#bundle)
        def bundles? = false

        # @return [String, nil] what a line and others between the same things are called together
        def bundle_name(_line) = nil

        # @param labels [Hash{String => Array(Numeric, Numeric)}] where its labels stand
        # @return [Array] shapes of a line along its route
        def line_shapes(_set, line, route, _labels)
          way = Shapes.data(route)
          [Shapes.path(way, pen(line)), Shapes.path(way, :grip)]
        end

        def pen(_line) = :line

        # So near to its ends a line leaves others whole: they meet at the same thing, px.
        ENDS = 9

        # @return [Array] the points along which a line leaves a gap in those beneath it
        def passing(route) = Layout::Polyline.shortened(route, ENDS)

        # @return [Array<Array>] ways that a line is to take where nothing stands there, the best first
        def preferred_routes(_set, _sheet_id, _line) = []

        # @param line [Model::Element] that is to end there
        # @return [Layout::Terminal] where it can end at a thing
        def terminal(_set, _thing, placement, _line) = Layout::BoxTerminal.new(placement.box)

        # @return [Boolean] whether lines may end at parts of things
        def ends_at_parts? = false

        # @return [Boolean] whether what is in a thing, or of it, is drawn as the thing: its lines end there
        def gathers? = false

        # @param element [Model::Element] that the sheet does not show
        # @return [String, nil] id of what stands for it, or of what is nearer to that
        def holder(_set, element) = element.owner_id

        # @param part [Model::Element] of the thing, at which the line ends
        # @return [Layout::Terminal] where it can end
        def part_terminal(set, thing, placement, _part, line) = terminal(set, thing, placement, line)

        # What is proposed of a line that somebody drew from thing to thing and said no more of.
        #
        # @return [Array<Object>] changes
        def proposed(_set, _line) = []

        # What of other placements has to follow when lines are attached to them.
        #
        # @return [Hash{String => Hash}] for each element id what its placement becomes
        def reshape(_set, _sheet_id, _line) = {}
      end
    end
  end
end
