# frozen_string_literal: true

module Basalt
  module Brief
    module Notation
      # Requirements as cards, in columns by group, with how they are met.
      class Requirements < Drawing::Notation
        GAP = 18
        COLUMNS = 4

        def name = "requirements"
        def band = "Context"
        def design? = false
        def things = %w[requirement]

        def examples =
          [
            "requirement R1: A caller can report a leak from a phone",
            "requirement R1, priority must",
            "requirement R2: The crew sees the way to the leak"
          ]

        def chips = [%w[requirement r]]
        def size(set, thing) = Card.new(set, thing).size
        def thing_shapes(set, thing, placement) = Card.new(set, thing).shapes(placement.box)
        def legend = [["met", :text, "+", :met], ["met by nothing", :text, "–", :unmet]]
        def marks(set, requirement) = [set.relations_of(requirement.id, "meets").any? ? :met : :unmet]

        def computed(set, requirement)
          names = Coverage.new(set).met_by(requirement.id).map { |thing| thing.name || thing.kind }
          [["met by", names.empty? ? "nothing" : English.list(names.first(6))]]
        end

        def computed_headings(_kind) = ["met by"]
        def lane(_set, requirement) = requirement["group"] || "no group"

        def tidy(set, sheet_id, only: nil, **)
          things, = part(set, sheet_id, only)
          columns = things.group_by { |thing| lane(set, thing) }.values
          columns = things.each_slice([(things.length / COLUMNS.to_f).ceil, 1].max).to_a if columns.one?
          columns.each_with_index.flat_map { |list, column| stacked(set, list, column) }.to_h
        end

        def candidate_positions(_set, _sheet_id, _thing, size, extent)
          extent ||= Layout::Box.new(x: 0, y: 0, w: 0, h: 0)
          (0..60).lazy.flat_map do |row|
            (0...COLUMNS).map { |column| [(extent.x + (column * (size[0] + GAP))).round, (extent.y + (row * (size[1] + GAP))).round] }
          end
        end

        private

        def stacked(set, list, column)
          y = 0
          list.map do |thing|
            w, h = size(set, thing)
            [thing.id, { x: column * (Card::WIDTH + GAP), y:, w:, h: }].tap { y += h + GAP }
          end
        end
      end
    end
  end
end
