# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # Lines to what is more general run together where they can: up from each, along at one height,
      # and up to the middle of its lower edge.
      module Trees
        # How far beneath what is more general they run along, px.
        DROP = 26

        module_function

        # @param special [Layout::Box]
        # @param general [Layout::Box]
        # @param others [Array<Layout::Box>] of all that is a kind of the general one
        # @return [Array<Array>] ways for the line, the best first; none where it stands above or beside
        def ways(special, general, others)
          top = others.map(&:y).select { |y| y >= general.bottom + (2 * DROP) }.min
          [general.bottom + DROP, *(top - DROP if top)].filter_map do |height|
            next if special.y < height + 8

            [[special.cx.round, special.y], [special.cx.round, height], [general.cx.round, height], [general.cx.round, general.bottom]]
              .then { |points| Layout::Polyline.simplify(points.map { |x, y| [x.round, y.round] }) }
          end
        end
      end
    end
  end
end
