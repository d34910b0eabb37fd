# frozen_string_literal: true

module Basalt
  module Brief
    # Phrases marked in a source, and the things they are about.
    module Marking
      REMARK = "remark"

      module_function

      # @return [Array<Model::Element>] in the order in which they stand
      def phrases(set, source_id) =
        set.parts_of(source_id).select { |part| part.kind == "phrase" }.sort_by { |phrase| [phrase["at"].to_i, phrase.ordinal] }

      # @return [Array<Model::Element>] what a phrase is about
      def things(set, phrase_id) =
        set
          .relations_of(phrase_id, "marking")
          .select { |one| one.target("phrase") == phrase_id }
          .map { |one| set.element(one.target("thing")) }

      # @return [Array<Model::Element>] phrases about something
      def about(set, thing_id) =
        set
          .relations_of(thing_id, "marking")
          .select { |one| one.target("thing") == thing_id }
          .map { |one| set.element(one.target("phrase")) }

      # Marks a phrase and ties it to things.
      #
      # @param place [Integer] of the first character in the text
      # @param noun [String] the word for what it is about
      # @return [Model::Element] the phrase
      def mark(draft, source, quote:, place:, noun: nil, things: [], note: nil)
        clean = Model::Names.clean(quote.gsub(/\s+/, " "), limit: 2000)
        known = phrases(draft, source.id).find { |one| one["at"] == place && one["quote"] == clean }
        facts = { "quote" => clean, "at" => place.to_s, "as" => noun, "version" => (source["version"] || 1).to_s }
        known ||= Change::Add.new(kind: "phrase", name: Model::Names.short(clean, 120), owner_id: source.id, facts:).apply(draft)
        draft.apply(Change::Set.new(id: known.id, fact: "note", value: note)) if note
        things.each { |thing| tie(draft, known.id, thing.id) }
        known
      end

      def tie(draft, phrase_id, thing_id)
        return if things(draft, phrase_id).any? { |one| one.id == thing_id }

        Change::Add.new(kind: "marking", ends: [["phrase", phrase_id], ["thing", thing_id]]).apply(draft)
      end

      def say(context, said)
        phrase =
          mark(
            context.draft,
            said[:source],
            quote: said[:quote],
            place: said[:at],
            noun: said[:as],
            things: said[:things] || [],
            note: said[:note]
          )
        %i[version became].each { |fact| context.set(phrase.id, fact.to_s, said[fact]) if said[fact] }
      end

      def retract(context, said)
        phrases(context.draft, said[:source].id)
          .select { |one| one["at"] == said[:at] && one["quote"] == said[:quote] }
          .each { |one| context.draft.apply(Change::Remove.new(id: one.id)) }
      end

      def qualities(unparser, phrase, things)
        [
          *(["as", unparser.word(phrase["as"])] if phrase["as"]),
          *(["version", phrase["version"].to_s] if phrase["version"]),
          *(["for", *things] if things.any?),
          *(["noting", Statements::Quoting.quote(phrase["note"])] if phrase["note"]),
          *(["became", Statements::Quoting.quote(phrase["became"])] if phrase["became"])
        ]
      end

      def tell(unparser, source)
        phrases(unparser.set, source.id).map do |phrase|
          things = things(unparser.set, phrase.id).reject { |thing| thing.description.nouns.empty? }
          listed = things.each_with_index.flat_map { |thing, index| [*([:comma] if index.positive?), unparser.thing(thing.id)] }
          unparser.say(
            "in",
            unparser.thing(source.id),
            "stands",
            Statements::Quoting.quote(phrase["quote"].to_s),
            "at",
            phrase["at"].to_s,
            *qualities(unparser, phrase, listed)
          )
        end
      end
    end
  end
end
