# frozen_string_literal: true

module Basalt
  module Brief
    module Checks
      # Something that a source speaks of in other words than before, or no more.
      class SourceChanged < Basalt::Checks::Check
        rule "source-changed", :warning, reads: Model::Catalogue.kinds.keys, each: "phrase", near: 2

        def about(phrase)
          return [] unless phrase["became"]

          source = set.element(phrase.owner_id)
          Marking.things(set, phrase.id).map { |thing| found(phrase, source, thing) }
        end

        private

        def found(phrase, source, thing)
          gone = phrase["became"] == Revising::GONE
          why = gone ? "“#{phrase["quote"]}” no longer stands there." : "“#{phrase["quote"]}” became “#{phrase["became"]}”."
          finding(
            [thing.id, phrase.id],
            "#{source.name} speaks of #{thing.name || thing.kind} otherwise now",
            why,
            repair:
              (
                if gone
                  repair("Strike the thread", Change::Remove.new(id: phrase.id))
                else
                  repair("It still holds", *Revising.accepting(phrase))
                end
              )
          )
        end
      end
    end
  end
end
