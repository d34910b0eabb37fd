# frozen_string_literal: true

module Basalt
  module Drawing
    # What stands on a sheet, counted: kinds, the marks that its legend explains, and how far
    # it reaches. Kept in step by renewing what an act touched, so that its cost does not
    # grow with the sheet.
    class SheetStatistics
      # px around what waits.
      APART = 16

      def initialize(set, sheet_id)
        @sheet_id = sheet_id
        @kinds = {}
        @marks = {}
        @spans = {}
        @alone = Set.new
        @unjoinable = Set.new
        @again = Set.new
        @tally = Hash.new(0)
        @counts = Hash.new(0)
        set = AsDrawn.of(set, sheet_id)
        take(set, set.things_on(sheet_id))
        take(set, set.relations_on(sheet_id), drawn: true)
      end

      # Another that is renewed by itself.
      def initialize_copy(_other)
        @kinds, @marks, @spans, @alone, @unjoinable, @again, @tally, @counts =
          [@kinds, @marks, @spans, @alone, @unjoinable, @again, @tally, @counts].map(&:dup)
      end

      # @param keys [Array<String>] of what an act may have altered
      def renew(set, keys)
        set = AsDrawn.of(set, @sheet_id)
        keys.each { |id| remove(id) }
        take(set, keys.uniq.filter_map { |id| set.element(id) })
        @waiting = [apart(keys)]
        settle
      end

      # Works out once, for all who ask, what takes a look at everything.
      def settle
        extent
        waiting
        self
      end

      # @return [Hash{String => Integer}] how many of each kind
      def counts = @counts.select { |_, count| count.positive? }

      # @return [Array<String>] names of the emphases that occur, in order
      def emphases = @tally.filter_map { |mark, count| mark[1] if mark.is_a?(Array) && mark[0] == :emphasis && count.positive? }.sort
      def mark?(mark) = @tally[mark].positive?
      def empty? = @kinds.empty?
      def size = @kinds.length

      # @return [Layout::Box, nil] around everything
      def extent
        return if @spans.empty?

        left, top, right, bottom = (@sides ||= sides)
        Layout::Box.new(x: left, y: top, w: right - left, h: bottom - top)
      end

      # Where things wait that nobody put anywhere and that nothing joins yet, apart from those that are joined.
      #
      # @return [Layout::Box, nil] around them
      def waiting = (@waiting ||= [apart]).first

      # @return [Boolean] whether what waits stands among what is joined
      def mingled? = parted? && waiting.nil?

      private

      # Some things wait and others do not.
      def parted? = @alone.any? && @alone.length + @unjoinable.length < @spans.length

      # @param touched [Array<String>, nil] what may have come there since it was looked at; nil for whatever there is
      def apart(touched = nil)
        return @clear = nil unless parted?

        reach = grown(around(@alone.map { |id| @spans[id] }))
        touched = nil unless @clear && within?(reach, @clear)
        return @clear = nil if mingling?(touched ? @spans.slice(*touched) : @spans, reach)

        left, top, right, bottom = @clear = reach
        Layout::Box.new(x: left, y: top, w: right - left, h: bottom - top)
      end

      # Whether something that is joined stands there.
      def mingling?(spans, reach) = spans.any? { |id, span| overlap?(span, reach) && !@alone.include?(id) && !@unjoinable.include?(id) }

      def within?(span, other) = span[0] >= other[0] && span[1] >= other[1] && span[2] <= other[2] && span[3] <= other[3]

      def grown(span) = [span[0] - APART, span[1] - APART, span[2] + APART, span[3] + APART]
      def overlap?(span, other) = span[0] < other[2] && other[0] < span[2] && span[1] < other[3] && other[1] < span[3]

      def sides = around(@spans.values)

      # Plain comparisons, since everything on the sheet is looked at.
      def around(spans)
        left, top, right, bottom = spans.first
        spans.each do |span|
          left = span[0] if span[0] < left
          top = span[1] if span[1] < top
          right = span[2] if span[2] > right
          bottom = span[3] if span[3] > bottom
        end
        [left, top, right, bottom]
      end

      def widened(sides, span)
        [
          span[0] < sides[0] ? span[0] : sides[0],
          span[1] < sides[1] ? span[1] : sides[1],
          span[2] > sides[2] ? span[2] : sides[2],
          span[3] > sides[3] ? span[3] : sides[3]
        ]
      end

      # Only what reached one of the sides may have left less behind it.
      def reached?(span) = @sides.each_with_index.any? { |side, index| span[index] == side }

      # @param drawn [Boolean] whether all ends of the relations are known to stand there
      def take(set, elements, drawn: false)
        notation = set.sheets[@sheet_id].notation
        nesting = Nesting.new(set, @sheet_id)
        elements.each do |element|
          placed = set.placement(@sheet_id, element.id)
          next unless element.relation? ? line?(set, element, notation, drawn) : placed && !nesting.hidden?(element.id)

          count(set, element, notation.marks(set, element) + emphasis(placed) + opens(set, element))
          place(element.id, placed && span(set, element, placed, notation)) or next
          next if element.relation?

          @unjoinable << element.id unless notation.joins?(element)
          @alone << element.id if notation.joins?(element) && alone?(set, element, placed, notation, nesting)
        end
      end

      def count(set, element, marks)
        id = element.id
        @kinds[id] = element.kind
        set.elements[id] ? @counts[element.kind] += 1 : @again << id
        @marks[id] = marks.each { |mark| @tally[mark] += 1 }
      end

      def place(id, span)
        return unless span

        @sides &&= widened(@sides, span)
        @spans[id] = span
      end

      # What another line of its bundle stands for is there too.
      def line?(set, element, notation, drawn)
        line = notation.draws_line?(set, element) || (notation.bundles? && notation.lines.include?(element.kind) && set.follower?(element))
        line && (drawn || set.drawn_between?(@sheet_id, element))
      end

      def alone?(set, thing, placed, notation, nesting)
        return false if notation.ruled? || placed.by_hand || placed.pinned || nesting.parent(thing.id)

        set.relations_of(thing.id).none? { |line| notation.draws_line?(set, line) && set.drawn_between?(@sheet_id, line) }
      end

      def emphasis(placed)
        name = placed&.shape&.fetch("emphasis", nil)
        name ? [[:emphasis, name]] : []
      end

      def opens(set, element) = element.relation? || OpeningSign.beneath(set, element, @sheet_id).empty? ? [] : [OpeningSign::MARK]

      def remove(id)
        kind = @kinds.delete(id) or return
        @counts[kind] -= 1 unless @again.delete?(id)
        @marks.delete(id).each { |mark| @tally[mark] -= 1 }
        [@alone, @unjoinable].each { |set| set.delete(id) }
        span = @spans.delete(id)
        @sides = nil if span && @sides && reached?(span)
      end

      def span(set, element, placement, notation)
        if element.description.figure&.outline?
          around_boxes(element.description.figure.outlines(set, @sheet_id, element))
        elsif element.relation?
          line_span(placement.route["points"], words(set, element, placement, notation)) if placement.route
        elsif placement.x
          around_boxes([placement.box, *notation.obstacles(set, element, placement)])
        end
      end

      def around_boxes(boxes)
        around = Layout::Box.around(boxes)
        around && [around.x, around.y, around.right, around.bottom]
      end

      def line_span(points, words)
        return if points.length < 2

        left, top = points.first
        right, bottom = left, top
        points.each do |x, y|
          left = x if x < left
          right = x if x > right
          top = y if y < top
          bottom = y if y > bottom
        end
        reached = [left, top, right, bottom]
        words.each { |box| reached = widened(reached, [box.x, box.y, box.right, box.bottom]) }
        reached
      end

      def words(set, line, placement, notation)
        notation
          .labels(set, line)
          .filter_map do |label|
            placement.route["labels"]&.fetch(label.role, nil)&.then { |place| Layout::Box.at(*place, label.width, label.height) }
          end
      end
    end
  end
end
