# frozen_string_literal: true

module Basalt
  module Drawing
    # Places near what a new thing is joined to, the nearest first, and then in rows beneath
    # everything: for notations that have no better idea.
    class Near
      RINGS = 12

      # @param size [Array(Numeric, Numeric)] of the new thing, px
      # @param extent [Layout::Box, nil] around what stands on the sheet
      # @param gap [Array(Numeric, Numeric)] px that lines and their words need beside and beneath a thing
      def initialize(set, sheet_id, thing, size, extent, gap)
        @set = set
        @sheet_id = sheet_id
        @thing = thing
        @w, @h = size
        @extent = extent || Layout::Box.new(x: 0, y: 0, w: 0, h: 0)
        @across, @down = gap
      end

      # @return [Enumerator::Lazy<Array(Numeric, Numeric)>] top left corners
      def candidate_positions = joined.flat_map { |box| around(box) }.sort_by(&:last).lazy.map(&:first) + rows

      private

      def joined
        ids = @set.relations_of(@thing.id).flat_map(&:endpoints).uniq - [@thing.id]
        ids.filter_map { |id| @set.placement(@sheet_id, id)&.box }
      end

      # Beneath it first, then beside and above, and so on outwards.
      def around(box)
        (1..RINGS).flat_map do |ring|
          (-ring..ring)
            .flat_map { |n| [[n, ring], [n, -ring], [ring, n], [-ring, n]] }
            .uniq
            .map do |dx, dy|
              x = box.cx - (@w / 2) + (dx * (@w + @across))
              y =
                (
                  if dy.zero?
                    box.cy - (@h / 2)
                  else
                    (dy.positive? ? box.bottom + @down + ((dy - 1) * (@h + @down)) : box.y - @down - @h + ((dy + 1) * (@h + @down)))
                  end
                )
              [[x.round, y.round], (dx.abs * 1.1) + dy.abs + (dy.negative? ? 0.3 : 0)]
            end
        end
      end

      # As wide as what stands there, and as the paper is.
      def rows
        columns = [((@extent.w + @across) / (@w + @across)).floor, 5].max
        top = @extent.h.zero? ? 0 : @extent.bottom + @down
        (0..60).lazy.flat_map do |row|
          (0...columns).map { |column| [(@extent.x + (column * (@w + @across))).round, (top + (row * (@h + @down))).round] }
        end
      end
    end
  end
end
