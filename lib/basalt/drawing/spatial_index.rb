# frozen_string_literal: true

module Basalt
  module Drawing
    # What stands where on a sheet: things, segments of lines and labels, found by place.
    class SpatialIndex
      # So far words may reach over an edge where nothing else is free, px.
      TIGHT = 12
      # Of places that meet more lines than this none is better than another.
      MOST_MET = 1_000

      def initialize(set, sheet_id)
        @sheet_id = sheet_id
        @things = Layout::Index.new
        @lines = Layout::Index.new
        @labels = Layout::Index.new
        @areas = Layout::Index.new
        @bars = Layout::Index.new
        drawn = AsDrawn.of(set, sheet_id)
        take(drawn, drawn.placements_on(sheet_id))
      end

      # +areas+ are the boundaries, +bars+ what lines may cross and things not stand on; +reach+ is how far things have ever
      # reached here: left, top, right, bottom.
      attr_reader :sheet_id, :things, :lines, :labels, :areas, :bars, :reach

      def add(set, placement) = take(set, [placement])

      def remove(key)
        [things, lines, labels, areas, bars].each { |index| index.remove(key) }
        lines.remove([:edge, key])
      end

      # Takes up again what stands in the set.
      #
      # @param keys [Array<String>]
      def renew(set, keys)
        set = AsDrawn.of(set, sheet_id)
        keys.uniq.each { |id| remove(id) }
        take(set, keys.uniq.filter_map { |id| set.placement(sheet_id, id) })
      end

      # @return [Boolean] whether a box meets neither a thing nor its surroundings
      def free?(box) = things.free?(box)

      # @return [Array<Object>] ids of the lines that pass through the box
      def lines_through(box) = lines.overlapping(box.grow(-0.5)).map(&:first).uniq

      # @return [Array<Layout::Box>] the labels of a line
      def labels_of(line_id) = labels.boxes(line_id)

      # @return [Array<String>] ids of other lines on whose labels a line lies
      def labels_under(line_id)
        covering = lines.boxes(line_id).reject { |box| labels.free?(box) { |id| id == line_id } }
        return covering if covering.empty?

        covering.flat_map { |box| labels.overlapping(box).map(&:first) }.uniq - [line_id]
      end

      # @param allowed [Array<String>] boundaries that the box may lie in
      # @return [Boolean] whether it lies in no other boundary
      def outside?(box, allowed) = areas.free?(box) { |id| allowed.include?(id) }

      # Finds a place for each label along a route and takes it.
      #
      # @param ends [Array<String>] the roles of the line's first and last end
      # @param first [Array(Numeric, Numeric), nil] where to look first for what stands in the middle
      # @return [Hash{String => Array(Numeric, Numeric)}] middles by role; a label without room is left out
      def place_labels(line_id, found, points, ends, first: nil)
        this = found.one?
        found.each_with_object({}) do |label, places|
          place = place_label(line_id, label, points, ends, this, first) or next
          places[label.role] = place.map { |number| number.round(1) }
          labels.add(line_id, Layout::Box.at(*place, label.width, label.height))
        end
      end

      private

      def take(set, placements)
        return if placements.empty?

        nesting = Nesting.new(set, sheet_id)
        notation = set.sheets[sheet_id].notation
        placements.each do |placement|
          element = set.element(placement.key) or next
          element.relation? ? add_line(set, element, placement, notation) : add_thing(set, element, placement, notation, nesting)
        end
      end

      def add_thing(set, thing, placement, notation, nesting)
        box = placement.box
        return if box.nil? || nesting.hidden?(thing.id)

        boundary = nesting.boundary?(thing.id)
        add_boundary(thing, box) if boundary
        (boundary ? Boundary.obstacles(notation.boundary_words(thing), box) : notation.obstacles(set, thing, placement))
          .each { |one| things.add(thing.id, one) }
        notation.bars(set, thing, placement).each { |box| bars.add(thing.id, box) }
        stretch(box)
      end

      # No line should run along the edge of a boundary.
      def add_boundary(thing, box)
        areas.add(thing.id, box)
        corners = [[box.x, box.y], [box.right, box.y], [box.right, box.bottom], [box.x, box.bottom], [box.x, box.y]]
        Layout::Polyline.boxes(corners).each { |edge| lines.add([:edge, thing.id], edge) }
      end

      def stretch(box)
        left, top, right, bottom = @reach || [box.x, box.y, box.x, box.y]
        @reach = [[left, box.x].min, [top, box.y].min, [right, box.right].max, [bottom, box.bottom].max]
      end

      def add_line(set, line, placement, notation)
        return unless placement.route && set.drawn_between?(sheet_id, line)

        Layout::Polyline.boxes(placement.route["points"]).each { |box| lines.add(line.id, box) }
        places = placement.route["labels"].to_h
        return if places.empty?

        notation.labels(set, line).each do |label|
          place = places[label.role]
          labels.add(line.id, Layout::Box.at(*place, label.width, label.height)) if place
        end
      end

      # Where no other line runs, or as few as there can be; never on a thing.
      def place_label(line_id, label, points, ends, alone, first)
        best = least = last = nil
        width = label.width
        each_candidate(label, points, ends, alone, first) do |place|
          box = Layout::Box.at(*place, width, label.height)
          next unless things.free?(box)

          last ||= place
          next unless labels.free?(box)

          met = lines.count(box, least || MOST_MET) { |id| id == line_id }
          return place if met.zero?

          best, least = place, met if least.nil? || met < least
        end
        best || last || tight(label, points) || (label.figure && Layout::Polyline.middle(points))
      end

      # Where there is too little room, a few px over an edge are better than no words at all; clear of the signs at its ends.
      def tight(label, points)
        Layout::LabelPlaces
          .aside(points, label.width, label.height)
          .find do |place|
            box = Layout::Box.at(*place, label.width, label.height)
            labels.free?(box) && things.free?(box.grow(-TIGHT, -1))
          end
      end

      def each_candidate(label, points, ends, alone, first, &)
        yield first if first && label.role == "middle"
        case label.role
        when ends.first
          at_end(label, points, points, alone, &)
        when ends.last
          at_end(label, points, points.reverse, alone, &)
        else
          label.figure ? Layout::LabelPlaces.along(points, &) : Layout::LabelPlaces.in_middle(points, label.width, label.height, &)
        end
      end

      # The only label of a short straight line stands in its middle.
      #
      # @param from [Array] the line from the label's end on
      def at_end(label, points, from, alone, &)
        if alone && points.length == 2 && Layout::Polyline.length(points) < 100
          yield Layout::LabelPlaces.at(points, Layout::Polyline.length(points) / 2.0)
        end
        Layout::LabelPlaces.near_end(from, label.width, label.height, label.out, &)
      end
    end
  end
end
