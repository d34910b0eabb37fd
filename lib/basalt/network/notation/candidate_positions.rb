# frozen_string_literal: true

module Basalt
  module Network
    module Notation
      # Where a new thing could stand on a sheet that is laid out: beneath its subnet, or near
      # what it is joined to, or to the right of everything.
      class CandidatePositions
        STEP_X = 40
        STEP_Y = 20
        HOST_DROP = 64

        def initialize(set, sheet_id, thing, size, extent)
          @set = set
          @sheet_id = sheet_id
          @thing = thing
          @w, @h = size
          @extent = extent
        end

        def each
          return enum_for(:each) unless block_given?

          under_buses { |spot| yield spot }
          near_joined { |spot| yield spot }
          in_the_open { |spot| yield spot }
        end

        private

        def neighbours
          @neighbours ||= @set.relations_of(@thing.id, "attachment", "link").flat_map(&:targets).uniq - [@thing.id]
        end

        def placed(ids) = ids.filter_map { |id| @set.placement(@sheet_id, id) }.select(&:x)

        def buses = placed(neighbours.select { |id| @set.element(id).kind == "subnet" })

        def under_buses
          buses.each do |bus|
            Bus.rails(bus).each do |left, right, y|
              (left + 16).step([right - @w - 8, left + 16].max + 600, STEP_X) { |x| yield [x.round, (y + HOST_DROP).round] }
            end
          end
        end

        def near_joined
          around = Layout::Box.around(placed(neighbours).map(&:box)) or return
          yield [(around.cx - (@w / 2)).round, (around.bottom + 70).round]
          (1..20).each do |ring|
            [[ring, 0], [-ring, 0], [ring, 1], [-ring, 1], [0, ring], [ring, ring], [-ring, ring], [0, -ring]].each do |dx, dy|
              yield [(around.cx - (@w / 2) + (dx * (@w + STEP_X))).round, (around.y + (dy * (@h + (3 * STEP_Y)))).round]
            end
          end
        end

        # Beneath what is there, in rows as wide as the drawing.
        def in_the_open
          extent = @extent || Layout::Box.new(x: 0, y: 0, w: 0, h: 0)
          width = [extent.w, 640].max
          start = extent.w.zero? ? 40 : (extent.bottom + 60).round
          200.times do |row|
            extent.x.step(extent.x + width - @w, STEP_X) { |x| yield [x.round, start + (row * (@h + 50))] }
          end
        end
      end
    end
  end
end
