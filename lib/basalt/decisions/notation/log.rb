# frozen_string_literal: true

module Basalt
  module Decisions
    module Notation
      # Decisions as cards in the order in which they were made, with what each replaces and is about.
      class Log < Drawing::Notation
        include Drawing::CardColumns

        def name = "decisions"
        def band = "Concept"
        def design? = false
        def things = [Kinds::DECISION]
        def parts = [Kinds::OPTION]
        def told = [Kinds::CONCERNS, Kinds::REPLACES]

        def examples =
          [
            "decision D1: Readings are kept 13 months because the regulator compares years",
            "option \"keep them for ever\" of D1, against \"the store grows by 40 GB a month\"",
            "decision D1, question \"how long are readings kept?\", dated 2026-11-02, by Operator"
          ]

        def chips = [%w[decision n]]
        def size(set, thing) = Card.new(set, thing).size
        def thing_shapes(set, thing, placement) = Card.new(set, thing).shapes(placement.box)
        def together? = true
        def legend = [["proposed", :box, :assumed, :proposed], ["replaced or rejected", :box, :cell, :past]]
        def marks(set, decision) = [(:past unless About.stands?(set, decision)), (:proposed if decision["status"] == "proposed")].compact

        def computed(set, decision)
          about = About.of(set, decision.id).map { |one| About.title(set, one.target("thing")) }
          { "about" => about, "replaced by" => About.replaced(set, decision.id).map(&:name) }
            .map { |words, names| [words, names.any? ? English.list(names.first(6)) : ""] }
        end

        def computed_headings(kind) = kind == Kinds::DECISION ? ["about", "replaced by"] : []
        def lane(_set, decision) = decision["status"] || "accepted"

        def column_count = 3
        def card_width = Card::WIDTH

        def tidy(set, sheet_id, only: nil, **)
          things, = part(set, sheet_id, only)
          in_columns(set, even_columns(things))
        end
      end
    end
  end
end
