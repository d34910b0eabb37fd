# frozen_string_literal: true

module Web
  module Families
    module Data
      module Presenters
        # How the house names tables and columns.
        class ConventionsPage
          HOUSE = Basalt::Data::Logical::Conventions
          TYPES = Basalt::Data::Logical::Types
          # Where the word of the form says more than that of the statement.
          WORDS = { "derived" => "derived attributes", "dependents" => "what belongs to another" }.freeze
          # +options+ are what is chosen among; +usual+ is what is taken where nothing is said, +hint+ the words that can stand in it.
          Entry = Basalt::Value.of(:name, :label, :value, :options, :usual, :hint, :most)
          private_constant :HOUSE, :TYPES, :WORDS

          # @param house [Basalt::Model::Element, nil] the conventions that are agreed
          def initialize(house)
            @house = house
          end

          # @return [Array<Entry>]
          def entries = choices + patterns + others

          # @return [Array<Array(String, String)>] of attributes, and what type they become
          def types = [*TYPES::RULES.map { |shape, type| [TYPES.words(shape), type] }, ["anything else", TYPES::OTHER]]

          private

          def choices
            HOUSE::CHOICES.map { |name, options| Entry.new(name:, label: WORDS.fetch(name, name), value: value(name), options:) }
          end

          def patterns
            HOUSE::PATTERNS.map do |name, (usual, words)|
              Entry.new(name:, label: name, value: value(name), usual:, hint: words.map { |word| "{#{word}}" }.join(" "), most: 100)
            end
          end

          def others
            [
              Entry.new(name: "language", label: "language of names", value: value("language"), usual: "English", most: 40),
              Entry.new(name: "prefix", label: "prefix of columns", value: value("prefix"), most: 20),
              Entry.new(name: "longest", label: "longest, bytes", value: value("longest"), usual: "63", most: 2),
              Entry.new(name: "types", label: "types", value: value("types"), usual: "price: numeric(10,2); code: char(8)", most: 2000)
            ]
          end

          def value(name) = @house&.[](name)
        end
      end
    end
  end
end
