# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # A relationship whose name is no verb phrase.
      class NounAsVerb < Basalt::Checks::Check
        rule "noun-as-verb", :warning, reads: %w[relationship entity], each: "relationship"

        def about(one)
          return [] if one.name == Relating::UNSAID

          names = one.targets.map { |id| set.element(id).name }
          [one.name, one["back"]].compact
            .reject { |verb| English.verb_phrase?(verb) }
            .map do |verb|
              finding(
                one.id,
                "“#{verb}” is not a verb",
                "“#{English.article(names[0]).capitalize} #{names[0]} #{verb} #{English.article(names[1])} #{names[1]}” is no sentence " \
                "that anybody can confirm."
              )
            end
        end
      end
    end
  end
end
