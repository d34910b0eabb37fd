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
      def tidy(writing, set, sheet_id, only: nil, quick: false, crowded: [])
        manner = set.sheets[sheet_id].manner
        return writing.tidy(set, sheet_id, only:, quick:, crowded:) unless manner

        onto_pin(set, sheet_id, CompoundLayout.new(writing, set, sheet_id, only:).placements { |things, lines, sizes| boxes(writing, set, sheet_id, manner, things, lines, sizes) })
      end

      # A pinned thing is where a tree begins and what others stand around.
      def boxes(writing, set, sheet_id, manner, things, lines, given)
        rooms = things.to_h { |thing| [thing.id, room(writing, set, thing, given[thing.id] || writing.size(set, thing))] }
        sizes = rooms.transform_values { |_, around| [around.w, around.h] }
        pairs = lines.map { |line| line.endpoints }
        root = things.map(&:id).find { |id| set.placement(sheet_id, id)&.pinned }
        lanes = things.to_h { |thing| [thing.id, writing.lane(set, thing)] }
        corners = LAYOUTS.fetch(manner).call(sizes, pairs, **(manner == "lanes" ? { lanes: } : { root: }))
        corners.to_h { |id, (x, y)| rooms[id].then { |(w, h), around| [id, { x: (x - around.x).round, y: (y - around.y).round, w:, h: }] } }
      end

      # The size of a thing's symbol, and the box around it and what belongs to it when its corner is at 0, 0.
      def room(writing, set, thing, (w, h))
        placement = Model::Placement.new(element_id: thing.id, x: 0, y: 0, w:, h:)
        [[w, h], Layout::Box.around([placement.box, *(writing.boundaries.include?(thing.kind) ? [] : writing.obstacles(set, thing, placement))])]
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
