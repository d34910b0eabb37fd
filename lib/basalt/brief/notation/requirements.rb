# frozen_string_literal: true

module Basalt
  module Brief
    module Notation
      # Requirements as cards, in columns by group, with how they are met.
      class Requirements < Drawing::Notation
        include Drawing::CardColumns

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

        # A card names what meets it.
        def tells_of_others? = true

        def tellers(set, altered) =
          altered.map(&:id).uniq.flat_map { |id| set.relations_of(id, "meets").map { |one| one.target("requirement") } }

        def computed(set, requirement)
          names = Coverage.new(set).met_by(requirement.id).map { |thing| thing.name || thing.kind }
          [["met by", names.empty? ? "nothing" : English.list(names.first(6))]]
        end

        def computed_headings(_kind) = ["met by"]
        def lane(_set, requirement) = requirement["group"] || "no group"

        def column_count = 4
        def card_width = Card::WIDTH

        def tidy(set, sheet_id, only: nil, **)
          things, = part(set, sheet_id, only)
          columns = things.group_by { |thing| lane(set, thing) }.values
          in_columns(set, columns.one? ? even_columns(things) : columns)
        end
      end
    end
  end
end
