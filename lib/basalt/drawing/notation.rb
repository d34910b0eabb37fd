# frozen_string_literal: true

module Basalt
  module Drawing
    # How one kind of sheet draws a model. A family's notation inherits from this and says
    # what differs.
    class Notation
      def name = raise(NotImplementedError)

      # @return [String] the stratum it belongs to
      def band = "Logical"

      # @return [Array<String>] kinds of things it draws
      def things = []

      # @return [Array<String>] kinds of relations it draws as lines
      def lines = []

      # @return [Array<String>] kinds of relations that have a table in the register and are no lines
      def told = []

      # @return [Array<String>] kinds of what belongs to those, with a table of their own in the register
      def parts = []

      # @return [Array] parts of a sentence that say what a part of a thing is, behind “has”
      def part_words(_teller, _part) = raise(Mistake, "rows of this kind are not edited as text")

      # @return [Boolean] whether what it draws is part of a design, and so there for somebody
      def design? = true

      # @return [Boolean] whether what is declared of a kind on a sheet is in what the sheet is about
      def within?(_kind) = false

      # @return [Array<String>] kinds that are drawn around what they contain
      def boundaries = []

      # @return [Array<String>] three statements to try on an empty sheet
      def examples = []

      # @return [Array<Array(String, String)>] words that can be placed, each with its letter
      def chips = []

      def draws?(element) = things.include?(element.kind)

      # @return [Boolean] whether a relation is drawn as a line, when its ends are there
      def draws_line?(_set, relation) = lines.include?(relation.kind)

      # @return [Boolean] whether a thing is there to be joined: not where no lines are drawn, nor what only holds others
      def joins?(thing) = lines.any? && !boundaries.include?(thing.kind)

      # @return [Array<Model::Element>] the relations drawn on the sheet
      def lines_on(set, sheet_id)
        set.relations_on(sheet_id).select { |relation| draws_line?(set, relation) }
      end

      # @return [Array<Model::Element>] what of this kind belongs to things and lines of the sheet, and to other parts
      def parts_on(set, sheet_id, kind)
        (set.things_on(sheet_id) + lines_on(set, sheet_id)).flat_map { |owner| parts_within(set, owner.id, kind) }
      end

      def parts_within(set, owner_id, kind) =
        set.parts_of(owner_id).flat_map { |part| [(part if part.kind == kind)].compact + parts_within(set, part.id, kind) }

      # @return [Array(Array<Model::Element>, Array<Model::Element>)] things to lay out, and the lines among them
      def part(set, sheet_id, only)
        things = set.things_on(sheet_id).select { |thing| draws?(thing) && (only.nil? || only.include?(thing.id)) }
        ids = things.to_set(&:id)
        [things, lines_on(set, sheet_id).select { |line| line.endpoints.all? { |id| ids.include?(id) } }]
      end

      # @return [Array(Numeric, Numeric)] width and height of a thing's symbol, px
      def size(_set, _thing) = raise(NotImplementedError)

      # What follows from the facts of an element and is told beside them.
      #
      # @return [Array<Array(String, Object)>] words and value
      def computed(_set, _element) = []

      # @return [Array<String>] the words of +computed+ for a kind, as headings of its table
      def computed_headings(_kind) = []

      # A value that a person gave in short, made whole from what the model says.
      #
      # @return [String, nil]
      def completed(_set, _element, _fact, text) = text

      # The notation as a sheet with this view has it.
      #
      # @param view [Hash, nil]
      # @return [Notation]
      def shown(_view) = self

      # @return [Hash{String => String}] other ways to draw a sheet of it, by what its view keeps, with the words for them
      def variants = {}

      # @return [String] the words for the way it is drawn in where no other was chosen
      def plain = "boxes"

      # @return [Boolean] whether a thing's symbol grows with what it says
      def fits?(_thing) = true

      # @return [Boolean] whether the symbols of what a relation joins tell of it, and grow with it
      def told_at_ends?(_relation) = false

      # @return [Boolean] whether somebody may give a thing a size
      def sizable?(_thing) = false

      # What a placement becomes when somebody gives it a size.
      #
      # @return [Hash, nil] nil where the size follows from the words
      def sized(_set, _thing, _placement, _width, _height) = nil

      # @return [Array<Label>] the texts at a line
      def labels(_set, _line) = []

      # @return [Array] shapes of a thing at its placement
      def thing_shapes(_set, _thing, _placement) = raise(NotImplementedError)

      # @param count [Integer] how many things a collapsed boundary stands for
      # @return [Array(Numeric, Numeric)] width and height, px
      def closed_size(set, thing, _count) = size(set, thing)

      # @param count [Integer] how many things a collapsed boundary stands for
      # @return [Array] shapes
      def closed_shapes(set, thing, placement, _count) = thing_shapes(set, thing, placement)

      # @param labels [Hash{String => Array(Numeric, Numeric)}] where its labels stand
      # @return [Array] shapes of a line along its route
      def line_shapes(_set, line, route, _labels) = [Shapes.polyline(route, pen(line)), Shapes.polyline(route, :grip)]

      def pen(_line) = :line

      # So near to its ends a line leaves others whole: they meet at the same thing, px.
      ENDS = 9

      # @return [Array] the points along which a line leaves a gap in those beneath it
      def passing(route) = Layout::Polyline.shortened(route, ENDS)

      # @return [Array<Array(String, Symbol, Object, Object)>] words, type of sample, sample and mark
      #   of what the legend can explain; an entry is shown when its mark occurs. A sample of type +:shapes+ is a
      #   function that draws it from a point on, 34 px wide and 16 px high around the height of the point
      def legend = []

      # @return [Array] the marks that occur at an element
      def marks(_set, _element) = []

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

      # What of other placements has to follow when lines are attached to them.
      #
      # @return [Hash{String => Hash}] for each element id what its placement becomes
      def reshape(_set, _sheet_id, _line) = {}

      # @param line [Model::Element] that is to end there
      # @return [Layout::Terminal] where it can end at a thing
      def terminal(_set, _thing, placement, _line) = Layout::BoxTerminal.new(placement.box)

      # @return [Geometry, nil] that has a place for everything of a sheet; nil where things are arranged
      def geometry(_set, _sheet_id) = nil

      # @return [Boolean] whether there is one
      def ruled? = false

      # @return [Boolean] whether lines may end at parts of things
      def ends_at_parts? = false

      # @param part [Model::Element] of the thing, at which the line ends
      # @return [Layout::Terminal] where it can end
      def part_terminal(set, thing, placement, _part, line) = terminal(set, thing, placement, line)

      # @return [Boolean] whether a thing may stand on a sheet more than once
      def repeatable?(_set, _sheet_id, _thing) = false

      # @return [Array<Layout::Box>] what lines may cross, of a thing, but no other thing may stand on
      def bars(_set, _thing, _placement) = []

      # @return [Array<Layout::Box>] what lines and labels keep clear of, of a thing
      def obstacles(_set, _thing, placement) = [placement.box]
    end
  end
end
