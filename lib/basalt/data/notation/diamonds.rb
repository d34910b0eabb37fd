# frozen_string_literal: true

module Basalt
  module Data
    module Notation
      # Entities as rectangles, attributes as ovals and relationships as diamonds (Chen, 1976).
      # A double line says that every one takes part; how many there may be stands beside it.
      class Diamonds < Entities
        HEIGHT = 40

        def size(set, thing) = cluster(set, thing).size.map(&:ceil)

        def thing_shapes(set, thing, placement)
          cluster = cluster(set, thing)
          core = cluster.middle(placement.box)
          cluster.shapes(placement.box) +
            (thing.kind == "meeting" ? Lozenge.new(thing.name).shapes(core.cx, core.cy) : rectangle(thing, core))
        end

        def labels(set, line)
          case line.kind
          when "relationship"
            [Drawing::Label.new(role: "middle", text: line.name, style: :verb, figure: lozenge(set, line)), *counts(line)]
          when "participation"
            counts(line)
          else
            super
          end
        end

        def line_shapes(set, line, route, labels)
          return super if %w[specialisation dependence].include?(line.kind)

          plain = [Drawing::Shapes.polyline(route, pen(line)), Drawing::Shapes.polyline(route, :grip)]
          plain +
            total_ends(line, route, labels).flat_map do |points|
              [Drawing::Shapes.polyline(points, :double), Drawing::Shapes.polyline(points, :between)]
            end
        end

        def legend
          [
            ["relationship", :shapes, Samples.lozenge, :line],
            ["every one takes part", :shapes, Samples.double_line, :total],
            ["kind of", :shapes, Samples.kind, :kind],
            ["weak, many or identifying", :shapes, Samples.double_box, :weak],
            ["derived", :shapes, Samples.oval(:planned), :derived]
          ]
        end

        def marks(set, element)
          return relation_marks(element) if element.relation?

          attributes = @folded ? [] : Describing.of(set, element.id)
          [
            *(:weak if (element.kind == "entity" && Dependence.weak?(element)) || attributes.any? { |one| one["many"] }),
            *(:derived if attributes.any? { |one| one["derived"] })
          ]
        end

        def node(set, thing, level)
          cluster = cluster(set, thing)
          w, h = size(set, thing)
          left, top = cluster.offset
          core = core(thing)
          return super.with(beside: false, **Entities.corners(w, h)) if thing.kind == "meeting" && left.zero?

          span = { from: left + 12, to: left + core[0] - 12 }
          Layout::Node.box(thing.id, w, h, level).with(
            beside: false,
            top: Layout::Surface.new(**span, y: top),
            bottom: Layout::Surface.new(**span, y: top + core[1])
          )
        end

        def strip = 52

        def terminal(set, thing, placement, _line)
          cluster = cluster(set, thing)
          middle = rounded(cluster.middle(placement.box))
          if thing.kind == "meeting"
            Layout::CornersTerminal.new(middle, cluster.open_sides)
          else
            Layout::SidesTerminal.new(middle, cluster.open_sides)
          end
        end

        def obstacles(set, thing, placement)
          cluster = cluster(set, thing)
          [rounded(cluster.middle(placement.box)), *cluster.columns(placement.box)]
        end

        private

        def rounded(box) = Layout::Box.new(x: box.x.round, y: box.y.round, w: box.w.round, h: box.h.round)
        def cluster(set, thing) = Cluster.new(set, thing, core(thing), folded: @folded)

        def core(thing)
          return Lozenge.new(thing.name).then { |shape| [shape.width, shape.height] } if thing.kind == "meeting"

          [[Drawing::Pens.width(thing.name, :name) + 32, 90].max.ceil, HEIGHT]
        end

        def rectangle(entity, box)
          shape = ->(within, pen) do
            Drawing::Shapes.rect(box.x + within, box.y + within, box.w - (2 * within), box.h - (2 * within), pen)
          end
          [
            shape.call(0, entity.assumed ? :assumed : :outline),
            *([shape.call(4, :inner)] if Dependence.weak?(entity)),
            Drawing::Shapes.text(box.cx, box.cy + 5, entity.name, :name, :middle)
          ]
        end

        def lozenge(set, relationship)
          ovals = @folded ? [] : Describing.of(set, relationship.id).map { |attribute| Oval.new(attribute) }
          Lozenge.new(relationship.name, ovals:, double: Dependence.identifying?(set, relationship))
        end

        def counts(line)
          line.ends.filter_map do |joined|
            next if joined.role == "meeting"

            most = Cardinality.read(joined.facts["cardinality"]).most
            text = { nil => "?", Float::INFINITY => "N" }.fetch(most, most.to_s)
            Drawing::Label.new(role: joined.role, text: [joined.facts["role"], text].compact.join(" "), style: :verb)
          end
        end

        # The parts of a line, from the end of what always takes part to the diamond. How many there
        # are of the other is said at the other end.
        def total_ends(line, route, labels)
          return [] unless line.kind == "relationship"

          one, other = line.ends
          [[route, other], [route.reverse, one]].filter_map do |points, across|
            least = Cardinality.read(across.facts["cardinality"]).least
            Layout::Polyline.until(points, labels["middle"] || Layout::Polyline.middle(points)) if least&.positive?
          end
        end

        def relation_marks(line)
          total =
            line.kind == "relationship" && line.ends.any? { |joined| Cardinality.read(joined.facts["cardinality"]).least&.positive? }
          [line.kind == "specialisation" ? :kind : :line, *(:total if total)]
        end
      end
    end
  end
end
