# frozen_string_literal: true

module Basalt
  module Data
    # A relationship read back as two sentences that a domain expert confirms or disputes. What was
    # confirmed is kept as it was worded, so that a relationship that is altered is open again.
    module ReadBack
      BETWEEN = " | "
      # A sentence, and what somebody said of it: +:confirmed+, +:disputed+ or +:open+.
      Sentence = Value.of(:text, :verdict)

      module_function

      # @return [Array<Sentence>] one for each direction
      def of(set, relationship)
        [there(set, relationship), back(set, relationship)].map do |text|
          Sentence.new(
            text:,
            verdict: %w[confirmed disputed].find { |verdict| kept(relationship, verdict).include?(text) }&.to_sym || :open
          )
        end
      end

      # @return [Array(Integer, Integer)] how many sentences are confirmed, of how many
      def tally(set, relationships)
        sentences = relationships.flat_map { |one| of(set, one) }
        [sentences.count { |one| one.verdict == :confirmed }, sentences.length]
      end

      # @param verdict [String] +confirmed+, +disputed+ or +open+
      # @return [Array] changes
      def judge(set, relationship, index, verdict)
        text = of(set, relationship).fetch(index).text
        current = of(set, relationship).map(&:text)
        %w[confirmed disputed].map do |fact|
          list = (kept(relationship, fact) & current) - [text]
          list << text if fact == verdict
          Change::Set.new(id: relationship.id, fact:, value: list.empty? ? nil : list.join(BETWEEN))
        end
      end

      def kept(relationship, fact) = relationship[fact].to_s.split(BETWEEN)

      def there(set, relationship)
        one, other = relationship.ends
        "Each #{title(set, one)} #{relationship.name} #{amount(set, other)}."
      end

      # Without a verb of its own the other direction is told by the first.
      def back(set, relationship)
        one, other = relationship.ends
        return "Each #{title(set, other)} #{relationship["back"]} #{amount(set, one)}." if relationship["back"]

        who, whom = [one, other].map { |joined| Noun.of(set, set.element(joined.target_id)) }
        verb = single?(one) || !who.english? ? relationship.name : English::Verbs.many(relationship.name)
        "For each #{title(set, other)}, #{amount(set, one)} #{English::Verbs.done_to(verb, whom.pronoun)}."
      end

      def title(set, joined) = "#{set.element(joined.target_id).name}#{role(joined)}"
      def role(joined) = joined.facts["role"] && " (as #{joined.facts["role"]})"

      def single?(joined) = Cardinality.read(joined.facts["cardinality"]).most == 1

      # @return [String] how many, with the noun in the right number
      def amount(set, joined)
        name = title(set, joined)
        many = "#{Noun.of(set, set.element(joined.target_id)).plural}#{role(joined)}"
        case joined.facts["cardinality"]
        when nil
          "some #{many} (how many is open)"
        when "exactly one"
          "exactly one #{name}"
        when "zero or one"
          "at most one #{name}"
        when "one or more"
          "one or more #{many}"
        when "zero or more"
          "any number of #{many}"
        when "many"
          "many #{many}"
        else
          "#{joined.facts["cardinality"]} #{many}"
        end
      end
    end
  end
end
