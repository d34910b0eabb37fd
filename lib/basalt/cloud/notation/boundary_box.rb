# frozen_string_literal: true

module Basalt
  module Cloud
    module Notation
      # A boundary with its name, what it is and the blocks of its addresses; the sort of its line tells its level.
      class BoundaryBox
        P = Drawing::Pens
        S = Drawing::Shapes
        PENS = { "account" => :account, "region" => :region, "zone" => :zone, "network" => :network, "subnet" => :subnet,
                 "site" => :account }.freeze
        MOST = 240

        # @param thing [Model::Element]
        def initialize(thing)
          @thing = thing
        end

        def words = [@thing.noun, @thing["prefixes"], *(["zone #{@thing["zone"]}"] if @thing["zone"])].compact.join(" ")
        def pen = @thing.assumed ? :assumed_boundary : PENS.fetch(@thing["level"], :boundary)

        def shapes(box)
          name = P.fit(@thing.name, :name, [box.w - 80, 60].max)
          beside = box.x + 20 + P.width(name, :name)
          [S.rect(box.x, box.y, box.w, box.h, pen), S.text(box.x + 12, box.y + 20, name, :name),
           S.text(beside, box.y + 20, P.fit(words, :identifier, [box.right - beside - 8, 40].max), :identifier)]
        end

        def closed_size(count) = [Drawing::Slab.width(@thing.name, inside(count)) - 20, Drawing::Slab::HEIGHT]

        def closed(box, count)
          room = box.w - 22
          [S.rect(box.x, box.y, box.w, box.h, pen), S.text(box.x + 12, box.y + 20, P.fit(@thing.name, :name, room), :name),
           S.text(box.x + 12, box.y + 36, P.fit(inside(count), :identifier, room), :identifier)]
        end

        # @return [Integer] px
        def label_width = (P.width(P.fit(@thing.name, :name, MOST), :name) + 10 + P.width(words, :identifier)).ceil

        private

        def inside(count) = "#{@thing.noun}, #{count} inside"
      end
    end
  end
end
