# frozen_string_literal: true

module Basalt
  module Brief
    # What a phrase of a text can become: the words for it, the name proposed, and the change.
    module Proposal
      module_function

      # @return [Hash{String => Array(Model::Kind, Hash)}] noun to kind and the facts it sets
      def nouns
        @nouns ||=
          Model::Catalogue
            .kinds
            .values
            .select(&:marked)
            .flat_map { |kind| (kind.nouns.empty? ? { kind.name => {} } : kind.nouns).map { |noun, facts| [noun, [kind, facts]] } }
            .reject { |noun, _| noun == "weak entity" }
            .to_h
            .merge(Marking::REMARK => [nil, {}])
      end

      # @return [String, nil] the name that the phrase would give
      def name(set, noun, quote)
        kind, = nouns.fetch(noun) { return }
        return if kind.nil?
        return Satisfaction.next_number(set) if kind.name == "requirement"

        Model::Names.short(kind.marked.call(quote.gsub(/\s+/, " ")), 200)
      end

      # @return [Array<String>, nil] the kinds that something of this word belongs to or is done by
      def beside(noun)
        kind, = nouns.fetch(noun) { return }
        return if kind.nil?

        kind.owner.any? ? kind.owner : kind.ends.values.first
      end

      # Makes what the phrase is about, or finds the one of that name.
      #
      # @param of_id [String, nil] what it belongs to, or who does it
      # @param source [String, nil] the name of the source that the phrase stands in
      # @return [Model::Element, nil] nil for a remark
      def make(draft, noun, name, quote, of_id: nil, source: nil)
        kind, facts = nouns.fetch(noun) { raise Mistake, "a phrase cannot become “#{Model::Names.short(noun)}”" }
        return if kind.nil?
        raise Mistake, "say whose it is" if (kind.owner.any? || kind.relation?) && draft.element(of_id.to_s).nil?

        known =
          draft
            .named(Model::Names.clean(name))
            .find { |one| one.kind == kind.name && !one.relation? && one.owner_id == (kind.owner.any? ? of_id : nil) }
        known ||
          Change::Add.new(
            kind: kind.name,
            name:,
            facts: {
              **facts,
              **text(kind, quote, source)
            },
            owner_id: kind.owner.any? ? of_id : nil,
            ends: kind.relation? ? kind.ends.keys.first(2).map { |role| [role, of_id] } : nil
          ).apply(draft)
      end

      def text(kind, quote, source) =
        kind.name == "requirement" ? { "text" => quote.gsub(/\s+/, " ").strip[0, 1900], "source" => source } : {}
    end
  end
end
