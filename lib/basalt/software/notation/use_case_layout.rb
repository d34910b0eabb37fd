# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # Tidies use cases: those of a system in columns within its boundary, the ones that actors take part in before those that others
      # include or extend; actors beside it, who start something on the left.
      class UseCaseLayout
        ROW = 34
        COLUMN = 190
        BLOCK = 60
        ASIDE = 170
        ACTOR = 30
        # So many stand in a column before a second one is begun.
        MOST = 9

        # A group laid out from 0, 0: boxes by id.
        Block = Value.of(:boxes, :w, :h)

        # @param things [Array<Model::Element>]
        # @param lines [Array<Model::Element>] among them
        def initialize(notation, set, sheet_id, things, lines)
          @notation = notation
          @set = set
          @nesting = Drawing::Nesting.new(set, sheet_id)
          @actors, @others = things.partition { |thing| thing.kind == "actor" && @nesting.parent(thing.id).nil? }
          @lines = lines
          @ids = things.to_set(&:id)
          @inside = @others.group_by { |thing| @nesting.parent(thing.id) }
          @relations = lines.each_with_object({}) { |line, table| line.endpoints.uniq.each { |id| (table[id] ||= []) << line } }
        end

        # @return [Hash{String => Hash}] (see Drawing::Notation#tidy)
        def placements
          middle = stacked(roots.map { |root| block(root) }, BLOCK)
          sides = @actors.group_by { |actor| starts?(actor) ? :left : :right }
          wide = sides.transform_values { |actors| actors.map { |actor| size(actor)[0] }.max }
          boxes = middle.boxes
          boxes = boxes.merge(column(sides.fetch(:left, []), middle, ->(w) { -ASIDE - (((wide[:left] || 0) + w) / 2) }))
          boxes.merge(column(sides.fetch(:right, []), middle, ->(w) { middle.w + ASIDE + (((wide[:right] || 0) - w) / 2) }))
            .transform_values { |box| box.transform_values { |value| value.round } }
        end

        private

        def size(thing) = @notation.size(@set, thing)

        # Boundaries in nothing else, and then what is in none.
        def roots
          outer = @others.reject { |thing| @ids.include?(@nesting.parent(thing.id)) }
          boundaries, loose = outer.partition { |thing| inside(thing).any? }
          boundaries + (loose.any? ? [loose] : [])
        end

        def inside(thing) = @inside.fetch(thing.id, [])

        # @param root [Model::Element, Array<Model::Element>] a boundary, or what is in none
        def block(root)
          members = root.is_a?(Array) ? root : inside(root)
          nested, single = members.partition { |thing| inside(thing).any? }
          found = stacked([*([columns(single)] if single.any?), *nested.map { |one| block(one) }], BLOCK)
          root.is_a?(Array) ? found : framed(root, found)
        end

        def framed(boundary, block)
          around = Drawing::Boundary.around(block.boxes.values.map { |box| Layout::Box.new(**box) }, Drawing::Boundary.label_width(boundary))
          own = { boundary.id => { x: 0, y: 0, w: around.w, h: around.h } }
          Block.new(boxes: own.merge(shifted(block.boxes, -around.x, -around.y)), w: around.w, h: around.h)
        end

        def shifted(boxes, dx, dy) = boxes.transform_values { |box| box.merge(x: box[:x] + dx, y: box[:y] + dy) }

        def stacked(blocks, gap)
          y = 0
          wide = blocks.map(&:w).max || 0
          boxes =
            blocks.reduce({}) do |all, one|
              moved = shifted(one.boxes, (wide - one.w) / 2.0, y)
              y += one.h + gap
              all.merge(moved)
            end
          Block.new(boxes:, w: wide, h: [y - gap, 0].max)
        end

        # Steps from what actors take part in are columns.
        def columns(use_cases)
          groups = use_cases.group_by { |one| [depth(one), 3].min }.sort.flat_map { |_, members| sorted(members).each_slice(MOST).to_a }
          x = 0
          boxes = {}
          high = groups.map { |group| height(group) }.max
          groups.each do |group|
            wide = group.map { |one| size(one)[0] }.max
            boxes.merge!(stack(group, x + (wide / 2.0), (high - height(group)) / 2.0))
            x += wide + COLUMN
          end
          Block.new(boxes:, w: x - COLUMN, h: high)
        end

        def height(group) = group.sum { |one| size(one)[1] + ROW } - ROW

        def stack(group, cx, y)
          group.to_h do |one|
            w, h = size(one)
            [one.id, { x: cx - (w / 2.0), y:, w:, h: }].tap { y += h + ROW }
          end
        end

        # Those of one actor beside each other; the included ones beside what includes them.
        def sorted(members)
          members.sort_by { |one| [*actors_of(one).map(&:ordinal).min || leading(one) || 0, one.ordinal] }
        end

        def leading(one) = relations(one).flat_map(&:endpoints).filter_map { |id| @set.element(id)&.ordinal unless id == one.id }.min

        def relations(one) = @relations.fetch(one.id, [])
        def actors_of(one) = relations(one).select { |line| line.kind == "involvement" }.map { |line| @set.element(line.target("actor")) }

        # How many inclusions and extensions lead from something that an actor takes part in.
        def depth(use_case)
          @depths ||= depths
          @depths.fetch(use_case.id, 0)
        end

        def depths
          direct = @lines.select { |line| line.kind == "involvement" }.map { |line| line.target("use case") }.uniq
          found = direct.to_h { |id| [id, 0] }
          level = 0
          until direct.empty?
            level += 1
            direct = direct.flat_map { |id| beside(id) }.uniq - found.keys
            direct.each { |id| found[id] = level }
          end
          found
        end

        # What includes or extends it, and what it includes or extends.
        def beside(id)
          @relations.fetch(id, []).select { |line| %w[inclusion extension].include?(line.kind) }.flat_map(&:endpoints)
        end

        def starts?(actor)
          lines = relations(actor)
          lines.any? { |line| line["starts"] } || kinds(actor).any? { |other| relations(other).any? { |line| line["starts"] } }
        end

        # What an actor is a kind of, and what is a kind of it.
        def kinds(actor) = (Generalising.above(@set, actor.id) + Generalising.below(@set, actor.id)).uniq.map { |id| @set.element(id) }

        # Each beside the middle of what it takes part in, and none on another.
        def column(actors, middle, left)
          y = nil
          actors.sort_by { |actor| [wanted(actor, middle), actor.ordinal] }.to_h do |actor|
            w, h = size(actor)
            at = wanted(actor, middle) - (actor["nature"] == "system" ? h / 2.0 : ActorFigure::FIGURE / 2.0)
            at = [at, y].max if y
            y = at + h + ACTOR
            [actor.id, { x: left.call(w), y: at, w:, h: }]
          end
        end

        def wanted(actor, middle)
          ids = [actor, *kinds(actor)].flat_map { |one| relations(one).map { |line| line.target("use case") } }
          heights = ids.filter_map { |id| middle.boxes[id]&.then { |box| box[:y] + (box[:h] / 2.0) } }
          heights.empty? ? middle.h / 2.0 : heights.sum / heights.length
        end
      end
    end
  end
end
