# frozen_string_literal: true

module Basalt
  module Drawing
    # Tidies things joined by lines with signs at their ends: the most joined first, the others by
    # the steps it takes to reach them.
    class Stepped
      SIGNS = 26
      LOOP = 40

      def initialize(notation, set, things, lines)
        @notation = notation
        @set = set
        @things = things
        @lines = lines
      end

      # @return [Hash{String => Hash}] (see Drawing::Notation#tidy)
      def placements
        plan = Layout::Layered.call(@things.map { |thing| node(thing) }, edges, gap: 70, widest: 1800, strip: @notation.strip)
        boxes = @things.to_h do |thing|
          w, h = @notation.size(@set, thing)
          x, y = plan.corners.fetch(thing.id)
          [thing.id, { x:, y:, w:, h: }]
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

      def node(thing)
        node = @notation.node(@set, thing, levels.fetch(thing.id))
        looped = @lines.any? { |line| line.poles.uniq == [thing.id] }
        looped ? node.with(w: node.w + LOOP, beside: false) : node
      end

      def levels
        @levels ||= @things.sort_by { |thing| [-near[thing.id].length, thing.ordinal] }.each_with_object({}) do |thing, found|
          spread(thing.id, found) unless found.key?(thing.id)
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
