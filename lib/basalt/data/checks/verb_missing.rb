# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # A relationship that nobody gave a verb.
      class VerbMissing < Basalt::Checks::Check
        rule "verb-missing", :warning, reads: %w[relationship], each: "relationship", near: 1

        def about(one)
          return [] unless one.name == Relating::UNSAID

          names = one.targets.map { |id| set.element(id).name }
          [
            finding(
              one.id,
              "Nobody said how #{names.join(" and ")} are related",
              "Without a verb the sentence cannot be confirmed by anybody."
            )
          ]
        end
      end
    end
  end
end
