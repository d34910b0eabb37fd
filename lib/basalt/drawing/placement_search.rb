# frozen_string_literal: true

module Basalt
  module Drawing
    # Finds things a place: inside their boundary, near what they join, clear of all that stands.
    class PlacementSearch
      extend Delegation

      delegate :draft, :sheet_id, :notation, :spatial_index, :placement, :nesting, :stand,
               to: :@context, from: LayoutContext

      # @param context [LayoutContext]
      # @param edge_routing [EdgeRouting] of the lines that join what is settled
      def initialize(context, edge_routing)
        @context = context
        @edge_routing = edge_routing
      end

      # @param placed [Model::Placement] of a thing, with a place or without
      def settle(placed)
        thing = draft.element(placed.key)
        w, h = notation.size(draft, thing)
        x, y = placed.x ? [placed.x, placed.y] : position(thing, w, h)
        Change::Arrange.new(placement_id: placed.id, to: { x:, y:, w:, h: }).apply(draft)
        stand(thing.id)
        lines =
          draft
            .relations_of(thing.id)
            .select { |line| notation.draws_line?(draft, line) && line.endpoints.all? { |id| placement(id)&.box } }
        lines.each { |line| @edge_routing.reshape(line) }
      end

      private

      def position(thing, w, h)
        home = nesting.ancestors(thing.id)
        @taken = nil
        found = candidate_positions(thing, w, h).find { |x, y| apart?(x, y, w, h) && free?(Layout::Box.new(x:, y:, w:, h:), home) }
        found || beneath
      end

      # Of many places beside each other most are taken by the same thing: that is looked at before the index is asked.
      def apart?(x, y, w, h)
        around = Layout::Box.new(x: x - 14, y: y - 12, w: w + 28, h: h + 24)
        return false if @taken&.overlap?(around)

        @taken = spatial_index.things.first_overlapping(around)
        @taken.nil?
      end

      def free?(box, home) =
        spatial_index.lines_through(box.grow(4)).empty? && spatial_index.outside?(box.grow(6), home) &&
          spatial_index.bars.free?(box.grow(4))

      # Inside its boundary, beside what stands there; otherwise where the notation would have it.
      def candidate_positions(thing, w, h)
        area = placement(nesting.parent(thing.id).to_s)&.box
        elsewhere = notation.candidate_positions(draft, sheet_id, thing, [w, h], extent)
        return elsewhere unless area

        columns = [((area.w - (2 * Boundary::PAD)) / (w + 30.0)).floor, 1].max
        inside =
          (0..40).flat_map do |row|
            (0...columns).map do |column|
              [(area.x + Boundary::PAD + (column * (w + 30))).round, (area.y + Boundary::HEAD + (row * (h + 30))).round]
            end
          end
        inside.each
      end

      def extent
        left, top, right, bottom = spatial_index.reach
        left && Layout::Box.new(x: left, y: top, w: right - left, h: bottom - top)
      end

      def beneath = extent ? [extent.x, (extent.bottom + 60).round] : [0, 40]
    end
  end
end
