# frozen_string_literal: true

module Basalt
  module Brief
    # What exists in a brief.
    module Kinds
      TYPES = %w[function quality constraint].freeze
      PRIORITIES = %w[must should could].freeze
      STATES = %w[proposed agreed done dropped].freeze

      def self.field(name, type, **rest) = Model::Field.new(name:, type:, **rest)

      ALL = [
        Model::Kind.new(
          name: "requirement",
          marked: ->(text) { text.strip },
          plural: "requirements",
          nouns: {
            "requirement" => {}
          },
          brief: ["text"],
          fields: [
            field("text", :text),
            field("type", :choice, choices: TYPES),
            field("priority", :choice, choices: PRIORITIES),
            field("state", :choice, choices: STATES),
            field("source", :text),
            field("owner", :text),
            field("group", :text)
          ]
        ),
        Model::Kind.new(name: "numbering", plural: "numberings", nouns: { "numbering" => {} }, fields: [field("pattern", :text)]),
        Model::Kind.new(
          name: "meets",
          plural: "what meets what",
          ends: {
            "thing" => Model::Kind::ANYTHING,
            "requirement" => ["requirement"]
          }
        ),
        Model::Kind.new(
          name: "serves",
          plural: "what serves what",
          ends: {
            "thing" => Model::Kind::ANYTHING,
            "other" => Model::Kind::ANYTHING
          }
        ),
        Model::Kind.new(
          name: "source",
          plural: "sources",
          nouns: {
            "source" => {}
          },
          fields: [field("origin", :text), field("dated", :text), field("version", :integer, range: 1..9999)]
        ),
        Model::Kind.new(
          name: "phrase",
          plural: "phrases",
          owner: ["source"],
          fields: [
            field("note", :text, internal: true),
            field("quote", :text),
            field("at", :integer, range: 0..2_000_000_000),
            field("as", :text),
            field("version", :integer, range: 1..9999),
            field("became", :text)
          ]
        ),
        Model::Kind.new(name: "marking", plural: "markings", ends: { "phrase" => ["phrase"], "thing" => Model::Kind::ANYTHING })
      ].freeze
    end
  end
end
