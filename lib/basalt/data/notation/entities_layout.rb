# frozen_string_literal: true

module Basalt
  module Data
    module Notation
      # Tidies entities: the most related first, the others by the steps it takes to reach them.
      class EntitiesLayout
        SIGNS = 26
        LOOP = 40

        def initialize(notation, set, entities, lines)
          @notation = notation
          @set = set
          @entities = entities
          @lines = lines
        end

        # @return [Hash{String => Hash}] (see Drawing::Notation#tidy)
        def placements
          plan = Layout::Layered.call(@entities.map { |entity| node(entity) }, edges, gap: 70, widest: 1800, strip: @notation.strip)
          boxes = @entities.to_h do |entity|
            w, h = @notation.size(@set, entity)
            x, y = plan.corners.fetch(entity.id)
            [entity.id, { x:, y:, w:, h: }]
          end
          boxes.merge(plan.routes.transform_values { |points| { route: { "points" => points } } })
        end

        private

        def edges
          @lines.reject { |line| line.poles.uniq.one? }.map do |line|
            middle = @notation.labels(@set, line).sum(&:width)
            Layout::Edge.new(id: line.id, from: line.poles[0], to: line.poles[1], from_room: SIGNS, to_room: SIGNS, middle:)
          end
        end

        def node(entity)
          node = @notation.node(@set, entity, levels.fetch(entity.id))
          looped = @lines.any? { |line| line.poles.uniq == [entity.id] }
          looped ? node.with(w: node.w + LOOP, beside: false) : node
        end

        def levels
          @levels ||= @entities.sort_by { |entity| [-near[entity.id].length, entity.ordinal] }.each_with_object({}) do |entity, found|
            spread(entity.id, found) unless found.key?(entity.id)
          end
        end

        def spread(id, found)
          found[id] = level = 0
          ids = [id]
          until ids.empty?
            level += 1
            ids = ids.flat_map { |from| near[from] }.uniq.reject { |to| found.key?(to) }
            ids.each { |to| found[to] = level }
          end
        end

        def near
          @near ||= @lines.each_with_object(Hash.new { |hash, key| hash[key] = [] }) do |line, table|
            one, other = line.poles
            table[one] << other
            table[other] << one
          end
        end
      end
    end
  end
end
