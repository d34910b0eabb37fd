# frozen_string_literal: true

module Basalt
  module Data
    module Notation
      # Tidies tables in columns from left to right, so that lines leave and arrive at their rows:
      # the layered layout turned by a quarter.
      class TablesLayout < Drawing::LayeredLayout
        CLOSE = 26
        STRIP = 16
        # How high the columns of many tables may be, of what would make the sheet as high as others are wide: it is turned.
        HEIGHT = 0.35
        private_constant :HEIGHT

        private

        def tries(part)
          return super unless part.length > MOST_TRIED

          [[nil, HEIGHT * Layout::Levels.fitting(part.map { |table| node(table, 0) }, CLOSE)]]
        end

        # Columns stand upright: what is wide for the layout is high on the sheet.
        def laid(part, root, widest)
          levels = levels(part, root)
          plan = plan(part.map { |table| node(table, levels.fetch(table.id)) }, edges(part), gap: CLOSE, widest:, strip: STRIP)
          boxes =
            part.to_h do |table|
              w, h = @notation.size(@set, table)
              y, x = plan.corners.fetch(table.id)
              [table.id, { x:, y:, w:, h: }]
            end
          boxes.merge(plan.routes.transform_values { |points| { route: { "points" => points.map(&:reverse) } } })
        end

        def breadth(table) = @notation.size(@set, table)[1]

        def edges(part)
          tables = part.to_h { |table| [table.id, table] }
          lines_of(part)
            .map { |line| [line, *line.ends.first(2).map(&:target_id), *line.targets("to")] }
            .map { |line, from, to, referred| [line, *tables.values_at(from, referred || to)] }
            .reject { |_, from, to| from == to }
            .map do |line, from, to|
              Layout::Edge.new(
                id: line.id,
                from: from.id,
                to: to.id,
                from_room: STRIP,
                to_room: STRIP,
                from_port: @notation.port(@set, from, line, "column"),
                to_port: @notation.port(@set, to, line, "key")
              )
            end
        end

        def node(table, level)
          w, h = @notation.size(@set, table)
          Layout::Node.box(table.id, h, w, level).with(beside: false)
        end
      end
    end
  end
end
