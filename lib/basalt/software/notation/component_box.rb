# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # A component as a box with its sign at the upper right (UML 2.5.1, 11.6.4), its ports as squares on the edge.
      class ComponentBox
        HEIGHT = 58
        LINE = 16
        LEAST = 120
        MOST = 190
        PORT = 10
        PITCH = 26
        HEAD = 40
        S = Drawing::Shapes
        P = Drawing::Pens

        def initialize(set, component)
          @component = component
          @ports = set.parts_of(component.id).select { |part| part.kind == "port" }
          @lines = P.lines(component.name, :name, MOST - 50, most: 3)
        end

        # @return [Array(Integer, Integer)] width and height, px
        def size
          word = @component["stereotype"] ? P.width("«#{@component["stereotype"]}»", :identifier) : 0
          names = @ports.each_slice(2).map { |pair| pair.sum { |port| P.width(port.name, :identifier) } + 40 }
          widest = [*@lines.map { |line| P.width(line, :name) }, word, *names].max || 0
          rows = (@ports.length + 1) / 2
          [(widest + 52).clamp(LEAST, 320).ceil, HEIGHT + (LINE * [@lines.length - 1, 0].max) + (word.zero? ? 0 : 14) + (rows * PITCH)]
        end

        # @return [Array] shapes
        def shapes(box)
          [
            S.rect(box.x, box.y, box.w, box.h, @component.assumed ? :assumed : :outline),
            *self.class.sign(box.right - 26, box.y + 9),
            *words(box),
            *ports(box)
          ]
        end

        # Around what is inside.
        #
        # @return [Array] shapes
        def boundary(box)
          name = P.fit(@component.name, :name, [box.w - 90, 60].max)
          [
            S.rect(box.x, box.y, box.w, box.h, @component.assumed ? :assumed_boundary : :boundary),
            *self.class.sign(box.right - 28, box.y + 10),
            S.text(box.x + 12, box.y + 20, name, :name),
            *ports(box)
          ]
        end

        # Two bars that stand out of a small box.
        def self.sign(x, y)
          [S.rect(x, y, 14, 16, :plain), S.rect(x - 4, y + 3, 8, 4, :plain), S.rect(x - 4, y + 9, 8, 4, :plain)]
        end

        # @return [Array(Array(Numeric, Numeric), Array(Integer, Integer)), nil] where lines meet a port, and in which direction they leave
        def port(id, box)
          index = @ports.index { |port| port.id == id } or return
          index.even? ? [[box.x - (PORT / 2), height(box, index)], [-1, 0]] : [[box.right + (PORT / 2), height(box, index)], [1, 0]]
        end

        private

        # From below upwards, two to a row.
        def height(box, index) = (box.bottom - 20 - ((((@ports.length - 1) / 2) - (index / 2)) * PITCH)).round

        def words(box)
          word = @component["stereotype"]
          lines = (word ? [["«#{word}»", :identifier]] : []) + @lines.map { |line| [line, :name] }
          lines.each_with_index.map do |(text, style), index|
            S.text(box.cx - 8, box.y + 30 + (index * LINE), P.fit(text, style, box.w - 44), style, :middle)
          end
        end

        def ports(box)
          @ports.each_with_index.map do |port, index|
            left = index.even?
            x = left ? box.x : box.right
            y = height(box, index)
            name = P.fit(port.name, :identifier, (box.w / 2) - 16)
            words = S.text(left ? x + 10 : x - 10, y + 4, name, :identifier, left ? :start : :end)
            S.part(port.id, [S.rect(x - (PORT / 2), y - (PORT / 2), PORT, PORT, :outline), words])
          end
        end
      end
    end
  end
end
