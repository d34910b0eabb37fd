# frozen_string_literal: true

module Basalt
  module Drawing
    # Keeps the drawing of a sheet in step with its model: everything shown has a place, and
    # every line a route and places for its labels. Writes into the draft, so that the
    # arrangement is part of the same act.
    class Arranger
      # @param draft [Change::Draft]
      # @param ground [Ground, nil] of the sheet as it stood before the draft; kept in step
      def initialize(draft, sheet_id, ground: nil)
        @draft = draft
        @sheet_id = sheet_id
        @writing = draft.sheets[sheet_id].writing
        @ground = ground
      end

      attr_reader :draft, :sheet_id, :writing

      def ground = @ground ||= Ground.new(draft.base, sheet_id)

      # Lays the sheet, or a part of it, out afresh; what is pinned or not drawn stays as it is.
      #
      # @param only [Array<String>, nil] ids of the things to lay out; nil for all
      def tidy(only: nil)
        @ground = nil
        laid = only ? Part.new(draft, sheet_id, only).laid : Manner.tidy(writing, draft, sheet_id)
        laid.each { |element_id, to| arrange(element_id, to) unless placement(element_id)&.pinned }
        clear_pins(laid)
        @ground = Ground.new(draft, sheet_id)
        lines = writing.lines_on(draft, sheet_id)
        lines = lines.select { |line| line.targets.any? { |id| laid.key?(id) } } if only
        unplaced.each { |placement| settle(placement) }
        lines.each { |line| draw_through(line, laid.dig(line.id, :route, "points") || []) }
        lines.each { |line| finish(line, laid.dig(line.id, :route)) }
        draft
      end

      # Gives a line the way that somebody drew, and keeps it.
      def keep(line_id, points)
        line = draft.element(line_id)
        ground.remove(line_id)
        arrange(line_id, { route: { "points" => points, "labels" => {}, "kept" => true } })
        take_route(line, points)
      end

      # After changes in the draft: places what is new, routes what is new or was disturbed,
      # and leaves all else alone.
      def follow
        clear_ground
        resize
        fresh.sort_by(&:ordinal).each { |placement| settle(placement) }
        refit
        reroute(disturbed)
        draft
      end

      private

      # What was laid out where something pinned stands has to find another place.
      def clear_pins(laid)
        pinned = draft.placements_on(sheet_id).select { |placed| placed.pinned && placed.box }
        return if pinned.empty?

        laid.each_key do |id|
          placed = placement(id)
          next if placed.box.nil? || placed.pinned || nesting.boundary?(id)
          next unless pinned.any? { |other| placed.box.grow(12).overlap?(other.box) && !nesting.ancestors(id).include?(other.element_id) }

          arrange(id, { x: nil, y: nil })
          displaced << id
        end
      end

      def placement(element_id) = draft.placement(sheet_id, element_id)

      def nesting = Nesting.new(draft, sheet_id)

      # Boundaries around what was touched follow it, from the innermost outwards; collapsed ones are as large as a slab.
      def refit
        return unless nesting.any?

        ids = touched_elements.flat_map { |id| [id, *(draft.element(id) ? nesting.ancestors(id) : []), *(draft.base.element(id) ? Nesting.new(draft.base, sheet_id).ancestors(id) : [])] }
        ids.uniq.select { |id| draft.element(id) && placement(id)&.x }.sort_by { |id| -nesting.ancestors(id).length }.each { |id| fit(id) }
      end

      def fit(id)
        box = fitting(id) or return
        return if placement(id).box == box

        ground.remove(id)
        arrange(id, { x: box.x, y: box.y, w: box.w, h: box.h })
        ground.add(draft, placement(id))
      end

      # @return [Layout::Box, nil] nil for what is no boundary and was none
      def fitting(id)
        thing = draft.element(id)
        return unless writing.boundaries.include?(thing.kind)
        return slab(thing) unless nesting.boundary?(id)

        boxes = nesting.children(id).filter_map { |inner| placement(inner)&.then { |placed| [placed.box, *writing.obstacles(draft, draft.element(inner), placed)] if placed.box } }.flatten
        Boundary.around(boxes, Boundary.label_width(thing)) if boxes.any?
      end

      def slab(thing)
        w, h = nesting.closed?(thing.id) ? writing.closed_size(draft, thing, nesting.inside(thing.id).length) : writing.size(draft, thing)
        placed = placement(thing.id)
        Layout::Box.new(x: placed.x, y: placed.y, w: placed.w && placed.h == h ? [placed.w, w].max : w, h:)
      end

      # Things that a tidying did not lay out and that stand nowhere yet.
      def unplaced
        draft.placements_on(sheet_id).select { |p| p.box.nil? && p.route.nil? && !draft.element(p.element_id).relation? }
      end

      # Placements of things that have no place yet.
      def fresh
        draft.placements.differences.filter_map { |_, _, after| after }
             .select { |p| p.sheet_id == sheet_id && p.box.nil? && p.route.nil? && !draft.element(p.element_id).relation? }
      end

      def arrange(element_id, to)
        Change::Show.new(sheet_id:, element_id:).apply(draft)
        Change::Arrange.new(placement_id: placement(element_id).id, to:).apply(draft)
      end

      # Takes the route that the layout gave, or finds one where an end did not go where the layout wanted it.
      def finish(line, route)
        if route && ends_kept?(line) && !placement(line.id)&.kept?
          take_route(line, route["points"])
        else
          route(line)
        end
      end

      def ends_kept?(line) = line.targets.none? { |id| placement(id)&.pinned || displaced.include?(id) }
      def displaced = @displaced ||= Set.new

      def take_route(line, points)
        labels = ground.place_labels(line.id, writing.labels(draft, line), points, line.ends.map(&:role).values_at(0, -1))
        kept = placement(line.id)&.kept? ? { "kept" => true } : {}
        arrange(line.id, { route: { "points" => points, "labels" => labels, **kept } })
        draw_through(line, points)
      end

      def draw_through(line, points)
        ground.lines.remove(line.id)
        Layout::Polyline.boxes(points).each { |box| ground.lines.add(line.id, box) }
      end

      def route(line)
        ground.remove(line.id)
        reshape(line)
        from, to = line.targets.values_at(0, -1).map { |id| nesting.stand_in(id) }
        return hide(line) if from == to && line.targets.uniq.length > 1
        return take_route(line, loop_at(from)) if from == to

        before = followed(line)
        return take_route(line, before) if before && placement(line.id).kept?

        terminals = [from, to].map { |id| writing.terminal(draft, draft.element(id), placement(id)) }
        own = [from, to, line.id, *nesting.ancestors(from), *nesting.ancestors(to)]
        points = Layout::Router.new(ground.things, ground.lines).route(*terminals, own, before:)
        take_route(line, points) if points
      end

      # A line within a collapsed boundary has no way.
      def hide(line)
        arrange(line.id, { route: nil }) if placement(line.id)
      end

      # The way a line had, with its ends moved as far as what they join was.
      def followed(line)
        was = draft.base.placement(sheet_id, line.id)&.route
        was &&= placement(line.id)&.route
        return unless was && draft.base.element(line.id)&.targets == line.targets

        from, to = line.targets.values_at(0, -1).map { |id| shift(nesting.stand_in(id)) }
        return unless from && to

        Layout::Polyline.drag_start(Layout::Polyline.drag_start(was["points"], *from).reverse, *to).reverse
      end

      # How far a thing has come from where it stood; a new size is no way to follow.
      def shift(id)
        before = draft.base.placement(sheet_id, id)&.box
        after = placement(id)&.box
        return unless before && after
        return [0, after.y - before.y] unless writing.fits?(draft.element(id))
        return unless [before.w, before.h] == [after.w, after.h]

        [after.x - before.x, after.y - before.y]
      end

      def loop_at(id)
        box = placement(id).box
        lower = box.y + [box.h - 8, 32].min
        [[box.right, box.y + 8], [box.right + 26, box.y + 8], [box.right + 26, lower], [box.right, lower]]
      end

      def reshape(line)
        writing.reshape(draft, sheet_id, line).each do |element_id, to|
          next unless room?(placement(element_id), to, line)

          ground.remove(element_id)
          arrange(element_id, to)
          ground.add(draft, placement(element_id))
        end
      end

      # Nothing is stretched over other things, or out of its boundary.
      def room?(placed, to, line)
        wider = Layout::Box.new(x: to[:x], y: placed.y, w: to[:w], h: 1)
        area = placement(nesting.parent(placed.element_id).to_s)&.box
        return false if area && (wider.x < area.x + Boundary::PAD || wider.right > area.right - Boundary::PAD)

        beside = writing.obstacles(draft, draft.element(placed.element_id), placed.with(**to))
        ground.things.free?(wider.grow(0, 6)) { |id| id == placed.element_id || line.targets.include?(id) } &&
          beside.all? { |box| ground.things.free?(box) { |id| id == placed.element_id } && (ground.lines_through(box) - [line.id]).empty? }
      end

      # What the draft moved, altered or struck no longer stands where the ground has it.
      def clear_ground
        touched_elements.each do |id|
          ground.remove(id)
          placed = placement(id)
          ground.add(draft, placed) if placed && draft.element(id)
        end
      end

      def touched_elements
        moved = draft.placements.differences.flat_map { |_, before, after| [before, after].compact }
                     .select { |p| p.sheet_id == sheet_id }.map(&:element_id)
        (moved + draft.elements.differences.map(&:first) + touched_things.map(&:id)).uniq
      end

      # A thing whose words have become longer or shorter gets a symbol to fit.
      def resize
        touched_things.each do |thing|
          placed = placement(thing.id)
          next unless placed&.x && draft.base.placements[placed.id] && writing.fits?(thing)

          w, h = writing.size(draft, thing)
          grow(placed, w, h) unless placed.h == h && placed.w >= w
        end
      end

      # Things that were altered, or a part of them was.
      def touched_things
        draft.elements.differences.filter_map { |_, before, after| draft.element((after || before).owner_id || (after || before).id) }
             .uniq(&:id).reject(&:relation?)
      end

      def grow(placed, w, h)
        ground.remove(placed.element_id)
        Change::Arrange.new(placement_id: placed.id, to: { w: [placed.w, w].max, h: }).apply(draft)
        ground.add(draft, placement(placed.element_id))
      end

      def settle(placed)
        thing = draft.element(placed.element_id)
        w, h = writing.size(draft, thing)
        x, y = placed.x ? [placed.x, placed.y] : spot(thing, w, h)
        Change::Arrange.new(placement_id: placed.id, to: { x:, y:, w:, h: }).apply(draft)
        ground.add(draft, placement(thing.id))
        lines = draft.relations_of(thing.id).select { |line| writing.lines.include?(line.kind) && line.targets.all? { |id| placement(id)&.box } }
        lines.each { |line| reshape(line) }
      end

      def spot(thing, w, h)
        home = nesting.ancestors(thing.id)
        spots(thing, w, h).find do |x, y|
          box = Layout::Box.new(x:, y:, w:, h:)
          ground.free?(box.grow(14, 12)) && ground.lines_through(box.grow(4)).empty? && ground.outside?(box.grow(6), home) && ground.bars.free?(box.grow(4))
        end || beneath
      end

      # Inside its boundary, beside what stands there; otherwise where the notation would have it.
      def spots(thing, w, h)
        area = placement(nesting.parent(thing.id).to_s)&.box
        elsewhere = writing.spots(draft, sheet_id, thing, [w, h], extent)
        return elsewhere unless area

        columns = [((area.w - (2 * Boundary::PAD)) / (w + 30.0)).floor, 1].max
        inside = (0..40).flat_map { |row| (0...columns).map { |column| [(area.x + Boundary::PAD + (column * (w + 30))).round, (area.y + Boundary::HEAD + (row * (h + 30))).round] } }
        inside.each
      end

      def extent
        left, top, right, bottom = ground.reach
        left && Layout::Box.new(x: left, y: top, w: right - left, h: bottom - top)
      end

      def beneath = extent ? [extent.x, (extent.bottom + 60).round] : [0, 40]

      # Lines that are new, whose ends moved or changed, or through which something was put.
      def disturbed
        touched = touched_elements
        own = touched.filter_map { |id| draft.element(id) }
        lines = own.select(&:relation?) + own.reject(&:relation?).flat_map { |thing| draft.relations_of(thing.id) }
        lines += own.reject(&:relation?).flat_map { |thing| crossed(thing) }
        lines += own.reject(&:relation?).flat_map { |thing| lines_inside(thing) }
        lines.uniq(&:id).select { |line| writing.lines.include?(line.kind) && line.targets.all? { |id| placement(nesting.stand_in(id))&.box } }
      end

      # The lines that lead out of a boundary which was collapsed or opened.
      def lines_inside(thing)
        return [] unless writing.boundaries.include?(thing.kind)

        before = draft.base.placement(sheet_id, thing.id)
        return [] if Affected.closed?(before) == Affected.closed?(placement(thing.id)) && !Affected.closed?(before)

        nesting.inside(thing.id).flat_map { |id| draft.relations_of(id) }
      end

      def crossed(thing)
        placed = placement(thing.id)
        return [] unless placed&.x

        writing.obstacles(draft, thing, placed).flat_map { |box| ground.lines_through(box) }.grep(String).filter_map { |id| draft.element(id) }
      end

      def reroute(lines)
        lines.each { |line| needs_route?(line) ? route(line) : relabel(line) }
      end

      # A line whose ends stand still keeps its route when only what it says has changed.
      def needs_route?(line)
        placed = placement(line.id)
        return true if placed.nil? || placed.route.nil? || moved?(line) || rejoined?(line) || turned?(line)
        return false if placed.kept?

        Layout::Polyline.boxes(placed.route["points"]).any? { |box| !ground.things.free?(box) { |id| line.targets.include?(id) || line.targets.any? { |target| nesting.stand_in(target) == id || nesting.ancestors(target).include?(id) } } }
      end

      # One of its ends is at something else since a boundary was collapsed or opened.
      def turned?(line)
        return false unless nesting.any?

        before = Nesting.new(draft.base, sheet_id)
        line.targets.any? { |id| draft.base.element(id) && before.stand_in(id) != nesting.stand_in(id) }
      end

      def rejoined?(line)
        before = draft.base.element(line.id)
        before && before.targets != line.targets
      end

      def moved?(line)
        @moved ||= draft.placements.differences.select { |_, before, after| before && after && before.box != after.box }.to_set { |_, before, _| before.element_id }
        line.targets.any? { |id| @moved.include?(nesting.stand_in(id)) }
      end

      def relabel(line)
        points = placement(line.id).route["points"]
        ground.remove(line.id)
        take_route(line, points)
      end
    end
  end
end
