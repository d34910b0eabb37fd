# frozen_string_literal: true

module Basalt
  module Drawing
    # The ways of lines: found where there is none, kept where nothing is against it, and the
    # places of their labels.
    class EdgeRouting
      extend Delegation

      delegate :draft, :sheet_id, :notation, :spatial_index, :placement, :nesting, :anchors, :arrange, :stand,
               to: :@context, from: LayoutContext

      # @param context [LayoutContext]
      def initialize(context)
        @context = context
      end

      # Gives a line the way that somebody drew, and keeps it.
      def keep(line_id, points)
        line = draft.element(line_id)
        spatial_index.remove(line_id)
        arrange(line_id, { route: { "points" => points, "labels" => {}, "kept" => true } })
        take_route(line, points)
      end

      # Takes the route that the layout gave, or finds one where it gave none that still holds.
      #
      # @param route [Hash, nil]
      def finish(line, route)
        if route && !placement(line.id)&.kept?
          shared = preferred(line)
          shared ? take_route(line, shared) : take_route(line, route["points"], words: route["words"])
        else
          route(line)
        end
      end

      def reroute(lines)
        lines.each do |line|
          if needs_route?(line) then route(line)
          elsif !told_as_before?(line) then relabel(line)
          end
        end
      end

      # Labels that lie on another's line look for a better place, now that all lines are there.
      #
      # @param lines [Array<Model::Element>] that were given a way
      def clear_labels(lines)
        covered = []
        lines.each do |line|
          covered << line.id if spatial_index.labels_of(line.id).any? { |box| crossed?(box, line.id) }
          covered.concat(spatial_index.labels_under(line.id))
        end
        covered.uniq.each { |id| draft.element(id)&.then { |line| relabel(line) if placement(id)&.route } }
      end

      # @return [Array<String>] ids of lines whose words in the middle lie on another line, or have no place
      def crowded(lines)
        lines.select { |line| placement(line.id)&.route && crowded?(line, placement(line.id).route["labels"]) }.map(&:id)
      end

      def draw_through(line, points)
        boxes = Layout::Polyline.boxes(points)
        return if spatial_index.lines.boxes(line.id) == boxes

        spatial_index.lines.remove(line.id)
        boxes.each { |box| spatial_index.lines.add(line.id, box) }
      end

      def reshape(line)
        notation
          .reshape(draft, sheet_id, line)
          .each do |key, to|
            next unless room?(placement(key), to, line)

            spatial_index.remove(key)
            arrange(key, to)
            stand(key)
          end
      end

      private

      def crowded?(line, places)
        label = notation.labels(draft, line).find { |one| one.role == "middle" } or return false
        place = places&.fetch("middle", nil)
        place.nil? || crossed?(Layout::Box.at(*place, label.width, label.height), line.id)
      end

      def crossed?(box, line_id) = !spatial_index.lines.free?(box) { |id| id == line_id }

      # Words that are as long as they were stay where they stand, clear of things: a bus that has become longer has very many lines.
      def told_as_before?(line)
        boxes = spatial_index.labels_of(line.id)
        notation.labels(draft, line).map { |label| [label.width, label.height] } == boxes.map { |box| [box.w, box.h] } &&
          boxes.all? { |box| spatial_index.things.free?(box) }
      end

      # @param words [Array(Numeric, Numeric), nil] where there is room for what stands in its middle
      def take_route(line, points, words: nil)
        ends = [line.ends.first.role, line.ends.last.role]
        labels = spatial_index.place_labels(line.id, notation.labels(draft, line), points, ends, first: words)
        placed = placement(line.id)
        route = { "points" => points, "labels" => labels }
        route["kept"] = true if placed&.kept?
        arrange(line.id, { route: }, placed:)
        draw_through(line, points)
      end

      def route(line)
        spatial_index.remove(line.id)
        reshape(line)
        from, to = anchors.of(line)
        return hide(line) if anchors.within_one?(line)
        return take_route(line, loop_at(from)) if from == to

        before = followed(line)
        return take_route(line, before) if before && placement(line.id).kept?

        own = own(line)
        router = Layout::Router.new(spatial_index.things, spatial_index.lines)
        points = preferred(line) || router.route(*anchors.terminals(line), own, before:)
        take_route(line, points) if points
      end

      # What its two ends and what they are in may be passed through by.
      def own(line)
        from, to = anchors.of(line)
        [from, to, line.id, *nesting.ancestors(from), *nesting.ancestors(to)]
      end

      # The first of the ways that the notation would like best at which nothing stands.
      def preferred(line)
        ways = notation.preferred_routes(draft, sheet_id, line)
        return if ways.empty?

        own = own(line)
        ways.find { |points| Layout::Polyline.boxes(points).all? { |box| spatial_index.things.free?(box) { |id| own.include?(id) } } }
      end

      # A line within a collapsed boundary has no way.
      def hide(line)
        arrange(line.id, { route: nil }) if placement(line.id)
      end

      # The way a line had, with its ends moved as far as what they join was.
      def followed(line)
        was = draft.base.placement(sheet_id, line.id)&.route
        was &&= placement(line.id)&.route
        return unless was && draft.base.element(line.id)&.endpoints == line.endpoints

        from, to = anchors.of(line).map { |key| shift(key) }
        return unless from && to

        Layout::Polyline.drag_start(Layout::Polyline.drag_start(was["points"], *from).reverse, *to).reverse
      end

      # How far a thing has come from where it stood; a new size is no way to follow.
      def shift(id)
        before = draft.base.placement(sheet_id, id)&.box
        after = placement(id)&.box
        return unless before && after
        return 0, after.y - before.y unless notation.fits?(draft.element(id))
        return unless [before.w, before.h] == [after.w, after.h]

        [after.x - before.x, after.y - before.y]
      end

      def loop_at(id)
        box = placement(id).box
        lower = box.y + [box.h - 8, 32].min
        [[box.right, box.y + 8], [box.right + 26, box.y + 8], [box.right + 26, lower], [box.right, lower]]
      end

      # Nothing is stretched over other things, or out of its boundary.
      def room?(placed, to, line)
        wider = Layout::Box.new(x: to[:x], y: placed.y, w: to[:w], h: 1)
        area = placement(nesting.parent(placed.key).to_s)&.box
        return false if area && (wider.x < area.x + Boundary::PAD || wider.right > area.right - Boundary::PAD)

        beside = to[:x] == placed.x ? [] : notation.obstacles(draft, draft.element(placed.key), placed.with(**to))
        spatial_index.things.free?(wider.grow(0, 6)) { |id| id == placed.key || line.endpoints.include?(id) } &&
          beside.all? do |box|
            spatial_index.things.free?(box) { |id| id == placed.key } && (spatial_index.lines_through(box) - [line.id]).empty?
          end
      end

      # A line whose ends stand still keeps its route when only what it says has changed.
      def needs_route?(line)
        placed = placement(line.id)
        return true if placed.nil? || placed.route.nil? || moved?(line) || rejoined?(line) || turned?(line)
        return false if placed.kept?

        Layout::Polyline
          .boxes(placed.route["points"])
          .any? do |box|
            !spatial_index
              .things
              .free?(box) do |id|
                line.endpoints.include?(id) ||
                  line.endpoints.any? { |target| nesting.stand_in(target) == id || nesting.ancestors(target).include?(id) }
              end
          end
      end

      # One of its ends is at something else since a boundary was collapsed or opened.
      def turned?(line)
        return false unless nesting.any?

        before = Nesting.new(draft.base, sheet_id)
        line.endpoints.any? { |id| draft.base.element(id) && before.stand_in(id) != nesting.stand_in(id) }
      end

      def rejoined?(line)
        before = draft.base.element(line.id) or return false
        before.endpoints != line.endpoints || line.endpoints.any? { |key| another?(draft.base.placement(sheet_id, key), placement(key)) }
      end

      # Another occurrence leads now.
      def another?(before, after) = before && after && before.id != after.id

      # What it joins stands elsewhere; a bus that became longer still has the line where it ends.
      def moved?(line)
        @moved ||=
          draft
            .placements
            .differences
            .select { |_, before, after| before && after && before.box != after.box }
            .to_set { |_, before, _| before.key }
        ends = placement(line.id).route["points"].values_at(0, -1)
        moved = anchors.of(line).map { |key| @moved.include?(key) }
        moved.any? &&
          anchors
            .terminals(line)
            .zip(ends, moved)
            .any? { |terminal, point, shifted| shifted && !(terminal.respond_to?(:at?) && terminal.at?(point)) }
      end

      def relabel(line)
        points = placement(line.id).route["points"]
        spatial_index.remove(line.id)
        take_route(line, points)
      end
    end
  end
end
