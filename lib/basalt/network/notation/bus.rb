# frozen_string_literal: true

module Basalt
  module Network
    module Notation
      # A subnet drawn as a bus line: one level line, or several joined by a spine at the left
      # where many things stand on it. +shape+ of its placement holds the lines' distances from y.
      module Bus
        THICK = 5
        LABEL_RISE = 22
        MOST_NAME = 240

        module_function

        # @return [Array<Array(Numeric, Numeric, Numeric)>] left, right and y of each line
        def rails(placement)
          drops(placement).map { |drop| [placement.x, placement.x + placement.w, placement.y + drop] }
        end

        def drops(placement) = placement.shape&.fetch("rails", nil) || [0]

        def shapes(subnet, placement)
          x = placement.x
          bottom = placement.y + drops(placement).last
          data = rails(placement).map { |left, right, y| [[left, y], [right, y]] }
          data << [[x, placement.y], [x, bottom]] if bottom > placement.y
          pen = subnet["planned"] ? :planned_bus : :bus
          [*data.map { |points| Drawing::Shapes.polyline(points, pen) }, *data.map { |points| Drawing::Shapes.polyline(points, :grip) },
           *label_shapes(subnet, placement)]
        end

        def label_shapes(subnet, placement)
          name = fitted(subnet)
          y = placement.y - 9
          [Drawing::Shapes.rect(placement.x, placement.y - LABEL_RISE, label_width(subnet), LABEL_RISE - 4, :halo),
           Drawing::Shapes.text(placement.x, y, name, :subnet),
           Drawing::Shapes.text(placement.x + Drawing::Pens.width(name, :subnet) + 8, y, details(subnet), :prefix)]
        end

        def fitted(subnet) = Drawing::Pens.fit("#{subnet.name}#{' (assumed)' if subnet.assumed}", :subnet, MOST_NAME)

        def details(subnet)
          [subnet["prefix"], subnet["vlan"] && "v#{subnet['vlan']}", subnet["space"]].compact.join(" ")
        end

        def label_width(subnet)
          (Drawing::Pens.width(fitted(subnet), :subnet) + 8 + Drawing::Pens.width(details(subnet), :prefix)).ceil + 4
        end

        # The words above the line are kept clear; lines may cross the bus itself.
        def obstacles(subnet, placement)
          [Layout::Box.new(x: placement.x, y: placement.y - LABEL_RISE, w: label_width(subnet), h: LABEL_RISE - 4)]
        end

        # A bus reaches as far as what stands on it.
        def stretch(set, sheet_id, attachment)
          thing = set.placement(sheet_id, attachment.target("thing"))
          bus = set.placement(sheet_id, attachment.target("subnet"))
          return {} unless thing&.x && bus&.x

          middle = thing.x + (thing.w / 2.0)
          left = [bus.x, middle - 30].min.round
          right = [bus.x + bus.w, middle + 30].max.round
          far = middle < bus.x - 600 || middle > bus.x + bus.w + 600
          return {} if far || (left == bus.x && right == bus.x + bus.w) || side?(thing, bus)

          { bus.element_id => { x: left, w: right - left } }
        end

        # @return [Array<Numeric>] widths that the lines ending at the bus ask for
        def needed(set, bus)
          set.relations_of(bus.element_id, "attachment").filter_map do |attachment|
            point = set.placement(bus.sheet_id, attachment.id)&.route&.fetch("points")&.last
            point && (point[0] - bus.x + 12)
          end + [label_width(set.element(bus.element_id))]
        end

        # A thing at the height of the bus is reached by a bend and not by a longer bus.
        def side?(thing, bus)
          rails(bus).any? { |_, _, y| y.between?(thing.y - 20, thing.y + thing.h + 20) }
        end
      end
    end
  end
end
