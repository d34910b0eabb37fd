# frozen_string_literal: true

module Basalt
  module Software
    module Classes
      # Types follow the class that they speak of when that is called otherwise.
      module Renaming
        FACTS = %w[type parameters].freeze

        module_function

        # @param draft [Change::Draft] all that an act does
        def settle(draft)
          renamed = names(draft)
          return if renamed.empty?

          draft.of_kind("property", "operation").each do |part|
            FACTS.each do |fact|
              text = part[fact] or next
              fresh = follow(text, renamed)
              draft.apply(Change::Set.new(id: part.id, fact:, value: fresh)) unless fresh == text
            end
          end
        end

        # @return [Hash{String => String}] new names by the old ones that no class has any more
        def names(draft)
          draft.elements.differences.each_with_object({}) do |(_, before, after), found|
            next unless before && after && after.kind == "class" && before.name != after.name
            next if draft.named(before.name, "class").any? || !after.name.match?(/\A#{Types::NAME}\z/o)

            found[before.name] = after.name
          end
        end

        # Names in quotes are texts.
        def follow(text, renamed)
          text.gsub(/"(?:[^"\\]|\\.)*"|'(?:[^'\\]|\\.)*'|[\p{L}_][\p{L}\p{N}_]*/) { |word| renamed.fetch(word, word) }
        end
      end
    end
  end
end
