# frozen_string_literal: true

module Basalt
  module Drawing
    # A part of a sheet laid out by itself, about where it was and clear of the rest.
    class Part
      STEP = 40
      REACH = 60

      # @param only [Array<String>] ids of things
      def initialize(set, sheet_id, only)
        @set = AsDrawn.of(set, sheet_id)
        @sheet_id = sheet_id
        @notation = set.sheets[sheet_id].notation
        @only = only.select { |id| set.placement(sheet_id, id)&.box }
        raise Mistake, "select what is to be tidied" if @only.empty?
      end

      # What no layout places, such as a dividing line, stays where it is.
      #
      # @return [Hash{String => Hash}] (see Notation#tidy)
      def laid
        found = LayoutStyle.tidy(@notation, @set, @sheet_id, only: @only)
        box = around(found) or return {}
        dx, dy = shift(box)
        found.transform_values { |to| moved(to, dx, dy) }
      end

      private

      def around(found)
        Layout::Box.around(found.values.select { |to| to[:x] }.map { |to| Layout::Box.new(x: to[:x], y: to[:y], w: to[:w], h: to[:h]) })
      end

      # The top left corner stays; where something else stands there, a little further on.
      def shift(box)
        was = Layout::Box.around(@only.map { |id| @set.placement(@sheet_id, id).box })
        others = SpatialIndex.new(@set, @sheet_id)
        @only.each { |id| others.remove(id) }
        (0..REACH).each do |ring|
          [[0, ring], [ring, 0]].each do |right, down|
            dx = (was.x - box.x + (right * STEP)).round
            dy = (was.y - box.y + (down * STEP)).round
            return [dx, dy] if others.free?(Layout::Box.new(x: box.x + dx, y: box.y + dy, w: box.w, h: box.h).grow(12))
          end
        end
        [(was.x - box.x).round, (others.reach[3] + STEP - box.y).round]
      end

      def moved(to, dx, dy)
        return to.merge(x: to[:x] + dx, y: to[:y] + dy) if to[:x]

        points = to[:route]["points"].map { |x, y| [x + dx, y + dy] }
        { route: to[:route].merge("points" => points) }
      end
    end
  end
end
