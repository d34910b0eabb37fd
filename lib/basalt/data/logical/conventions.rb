# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # How a house names its tables and columns, and which keys it gives them. Kept in the model
      # as one element of the kind +convention+; without one the house's usual ways hold.
      class Conventions
        KIND = "convention"
        # What is chosen, with the choices; the first is what holds where nothing was chosen.
        CHOICES = {
          "tables" => %w[plural singular],
          "case" => %w[snake camel pascal upper],
          "keys" => %w[surrogate natural],
          "derived" => ["left out", "generated"],
          "minimums" => ["not held", "by trigger"],
          "dependents" => ["go with their owner", "hold their owner"]
        }.freeze
        # Patterns with the words in braces that they may hold.
        PATTERNS = {
          "key" => ["{entity} id", %w[entity]],
          "foreign key" => ["{entity} id", %w[entity key]],
          "joining table" => ["{one} {other}", %w[one verb other]]
        }.freeze
        LONGEST = 63

        # @param set [Model::WorkingSet, Change::Draft]
        def self.of(set) = new(set.of_kind(KIND).first)

        # @param element [Model::Element, nil]
        def initialize(element)
          @facts = element ? element.facts : {}
        end

        CHOICES.each_key { |choice| define_method(choice) { @facts[choice] || CHOICES[choice].first } }

        def surrogate? = keys == "surrogate"
        # What becomes of a row that belongs to another when that is deleted.
        def deleting = dependents == "go with their owner" ? "cascade" : nil
        def triggers? = minimums == "by trigger"
        def prefix = @facts["prefix"].to_s
        def longest = @facts["longest"] || LONGEST

        # The house's own types, by a word of what an attribute is called; the usual ones otherwise.
        #
        # @return [String] of a column for what is called so
        def type(words) = own_type(words) || Types.guess(words)

        # @return [Boolean] whether the house says nothing of the type of what is called so
        def guessed?(words) = own_type(words).nil?

        # @return [Array<Array(String, String)>] word and type
        def own_types =
          @facts["types"]
            .to_s
            .split(";")
            .filter_map { |entry| entry.split(":", 2).map(&:strip).then { |pair| pair if pair.length == 2 && pair.none?(&:empty?) } }

        # @param noun [Noun]
        # @return [String] the name of a table for what is called so
        def table(noun) = name(tables == "plural" ? noun.plural : noun.singular)
        def column(words) = fitted(prefix + cased(words))
        def key(entity) = column(filled("key", "entity" => entity))

        # @param role [String] what the other side is called here
        # @param key [String] the key it refers to, in words
        def foreign_key(role, key) = column(filled("foreign key", "entity" => role, "key" => key))

        # @param other [Noun]
        def joining(one, verb, other) = table(other.with(filled("joining table", "one" => one, "verb" => verb, "other" => other.to_s)))

        # @return [String] words in the house's case, no longer than allowed
        def name(words) = fitted(cased(words))

        private

        def own_type(words) = own_types.find { |word, _| words.match?(/\b#{Regexp.escape(word)}\b/i) }&.last

        def filled(pattern, words)
          text = @facts[pattern] || PATTERNS[pattern].first
          words.reduce(text) { |filled, (word, value)| filled.gsub("{#{word}}", value) }
        end

        def cased(words)
          parts = words.unicode_normalize(:nfc).scan(/[\p{L}\p{N}]+/).map(&:downcase)
          parts = ["unnamed"] if parts.empty?
          case self.case
          when "snake"
            parts.join("_")
          when "upper"
            parts.join("_").upcase
          when "pascal"
            parts.map(&:capitalize).join
          else
            parts.first + parts.drop(1).map(&:capitalize).join
          end
        end

        # Limits count bytes, as the server's does.
        def fitted(name)
          return name if name.bytesize <= longest

          mark = format("%04x", name.each_byte.reduce(7) { |sum, byte| ((sum * 31) + byte) % 65_536 })
          "#{name.byteslice(0, longest - 5).scrub("")}_#{mark}"
        end
      end
    end
  end
end
