# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # A relationship whose name is no verb phrase.
      class NounAsVerb < Basalt::Checks::Check
        rule "noun-as-verb", :warning, reads: %w[relationship entity], each: "relationship"

        def self.given(set) = Noun.language(set)

        def about(one)
          return [] if one.name == Relating::UNSAID

          nouns = one.targets.map { |id| Noun.of(set, set.element(id)) }
          return [] unless nouns.first.english?

          [one.name, one["back"]].compact
            .reject { |verb| English.verb_phrase?(verb) }
            .map do |verb|
              finding(
                one.id,
                "“#{verb}” is not a verb",
                "“#{nouns[0].first} #{verb} #{nouns[1].one}” is no sentence that anybody can confirm."
              )
            end
        end
      end
    end
  end
end
