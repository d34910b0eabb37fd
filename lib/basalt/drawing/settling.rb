# frozen_string_literal: true

module Basalt
  module Drawing
    # Finds things a place: inside their boundary, near what they join, clear of all that stands.
    class Settling
      extend Forwardable

      def_delegators :@board, :draft, :sheet_id, :writing, :ground, :placement, :nesting, :stand

      # @param board [Board]
      # @param ways [Ways] of the lines that join what is settled
      def initialize(board, ways)
        @board = board
        @ways = ways
      end

      # @param placed [Model::Placement] of a thing, with a place or without
      def settle(placed)
        thing = draft.element(placed.element_id)
        w, h = writing.size(draft, thing)
        x, y = placed.x ? [placed.x, placed.y] : spot(thing, w, h)
        Change::Arrange.new(placement_id: placed.id, to: { x:, y:, w:, h: }).apply(draft)
        stand(thing.id)
        lines = draft.relations_of(thing.id).select { |line| writing.draws_line?(draft, line) && line.poles.all? { |id| placement(id)&.box } }
        lines.each { |line| @ways.reshape(line) }
      end

      private

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
    end
  end
end
