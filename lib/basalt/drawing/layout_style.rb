# frozen_string_literal: true

module Basalt
  module Drawing
    # The ways in which a sheet can be laid out: as its notation does, or in a shape that a
    # person chose for it. Boundaries are laid out from the inside out in each of them.
    module LayoutStyle
      # Words that a person reads, by the words that a sheet keeps.
      ALL = { "tree" => "as a tree", "round" => "around one", "rows" => "in rows", "lanes" => "in lanes" }.freeze
      LAYOUTS = { "tree" => Layout::Tree, "round" => Layout::Radial, "rows" => Layout::Rows, "lanes" => Layout::Lanes }.freeze

      module_function

      # @param only [Array<String>, nil] ids of the things to lay out; nil for all
      # @param quick [Boolean] try less than what takes longest
      # @return [Hash{String => Hash}] (see Notation#tidy)
      # @param crowded [Array<String>] ids of lines whose words lay on other lines when it was laid out before, as often as they did
      def tidy(notation, set, sheet_id, only: nil, quick: false, crowded: [])
        style = set.sheets[sheet_id].layout_style
        return notation.tidy(set, sheet_id, only:, quick:, crowded:) unless style

        onto_pin(
          set,
          sheet_id,
          CompoundLayout
            .new(notation, set, sheet_id, only:)
            .placements { |things, lines, sizes| boxes(notation, set, sheet_id, style, things, lines, sizes) }
        )
      end

      # A pinned thing is where a tree begins and what others stand around.
      def boxes(notation, set, sheet_id, style, things, lines, given)
        rooms = things.to_h { |thing| [thing.id, room(notation, set, thing, given[thing.id] || notation.size(set, thing))] }
        sizes = rooms.transform_values { |_, around| [around.w, around.h] }
        pairs = lines.map { |line| line.endpoints }
        root = things.map(&:id).find { |id| set.placement(sheet_id, id)&.pinned }
        lanes = things.to_h { |thing| [thing.id, notation.lane(set, thing)] }
        corners = LAYOUTS.fetch(style).call(sizes, pairs, **(style == "lanes" ? { lanes: } : { root: }))
        corners.to_h do |id, (x, y)|
          rooms[id].then { |(w, h), around| [id, { x: (x - around.x).round, y: (y - around.y).round, w:, h: }] }
        end
      end

      # The size of a thing's symbol, and the box around it and what belongs to it when its corner is at 0, 0.
      def room(notation, set, thing, (w, h))
        placement = Model::Placement.new(element_id: thing.id, x: 0, y: 0, w:, h:)
        [
          [w, h],
          Layout::Box.around(
            [placement.box, *(notation.boundaries.include?(thing.kind) ? [] : notation.obstacles(set, thing, placement))]
          )
        ]
      end

      # The whole comes to where what is pinned stands.
      def onto_pin(set, sheet_id, laid)
        id, to = laid.find { |element_id, place| place[:x] && set.placement(sheet_id, element_id)&.pinned }
        return laid unless id

        pinned = set.placement(sheet_id, id)
        laid.transform_values { |place| place.merge(x: place[:x] + pinned.x - to[:x], y: place[:y] + pinned.y - to[:y]) }
      end
    end
  end
end
