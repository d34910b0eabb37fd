# frozen_string_literal: true

module Basalt
  module Data
    # What exists in a data model.
    module Kinds
      WEAK = "weak entity"
      SPLITS = %w[disjoint overlapping].freeze
      # What happens to a row when the one that it refers to goes or gets another key (ISO/IEC 9075-2, 11.8).
      ACTIONS = ["cascade", "set null", "set default", "restrict"].freeze
      # When a constraint is looked at: it may be put off to the end of the transaction, or is so by itself.
      DEFERRING = ["deferrable", "initially deferred"].freeze

      def self.field(name, type, **rest) = Model::Field.new(name:, type:, **rest)
      def self.flag(name, label = nil) = field(name, :flag, label:)
      def self.how_many = field("cardinality", :pattern, label: "how many", choices: CardinalitySlot::WORDS, range: Cardinality::RANGE)

      # The name of an entity, from the words of a text.
      def self.titled(text) = English.singular(English.bare(text)).gsub(/\b[[:lower:]]/, &:upcase)

      GLOSSARY = [field("meaning", :text), field("synonyms", :text, label: "also called")].freeze
      # What is confirmed is kept as what it was when somebody confirmed it.
      CONFIRMED = [field("confirmed", :text, internal: true), field("disputed", :text, internal: true)].freeze

      CONCEPTUAL = [
        Model::Kind.new(
          name: "entity",
          marked: ->(text) { Kinds.titled(text) },
          plural: "entities",
          role: "strength",
          brief: ["strength"],
          nouns: {
            "entity" => {},
            WEAK => {
              "strength" => WEAK
            }
          },
          fields: [
            field("strength", :choice, choices: [WEAK]),
            field("split", :choice, choices: SPLITS, label: "kinds of it"),
            flag("complete", "kinds complete"),
            field("strategy", :choice, choices: Logical::SpecialisationMapping::STRATEGIES, label: "kinds are kept"),
            field("language", :word, label: "language of its name"),
            *GLOSSARY
          ]
        ),
        Model::Kind.new(
          name: "attribute",
          marked: ->(text) { English.bare(text).downcase },
          plural: "attributes",
          owner: %w[entity relationship meeting attribute],
          fields: [
            flag("key"),
            flag("partial", "partial key"),
            flag("required"),
            flag("many"),
            flag("derived"),
            field("source", :text, label: "derived from"),
            field("rule", :text),
            field("becomes", :choice, choices: Logical::Computed::FORMS, label: "derived, it becomes"),
            flag("kept", "kept over time"),
            *GLOSSARY
          ]
        ),
        Model::Kind.new(
          name: "relationship",
          plural: "relationships",
          named: true,
          ends: {
            "one" => ["entity"],
            "other" => ["entity"]
          },
          default_names: {
            "relationship" => "relates to"
          },
          brief: ["back"],
          end_fields: [how_many, field("role", :text)],
          fields: [field("back", :text, label: "verb of the other direction"), flag("kept", "kept over time"), *GLOSSARY, *CONFIRMED]
        ),
        Model::Kind.new(name: "dependence", plural: "dependences", ends: { "weak" => ["entity"], "owner" => ["entity"] }),
        Model::Kind.new(name: "specialisation", plural: "specialisations", ends: { "special" => ["entity"], "general" => ["entity"] }),
        Model::Kind.new(
          name: "meeting",
          plural: "meetings",
          nouns: {
            "meeting" => {}
          },
          fields: [flag("kept", "kept over time"), *GLOSSARY]
        ),
        Model::Kind.new(
          name: "participation",
          plural: "participations",
          ends: {
            "meeting" => ["meeting"],
            "entity" => ["entity"]
          },
          end_fields: [how_many, field("role", :text)]
        )
      ].freeze

      # +thread+ says what something was derived from, +as_derived+ how it was derived.
      THREAD = [field("thread", :text, internal: true, own: true), field("as_derived", :text, internal: true, own: true)].freeze

      # What is shown only where it is said.
      SELDOM = [].freeze

      # The name that a constraint or an index has in the database, where it is not the usual one.
      CALLED = field("called", :text, label: "name")
      # Whether rows that were there before were looked at, and whether tables that inherit are held to it.
      VALIDITY = field("validity", :choice, choices: ["not valid"])
      INHERITANCE = field("inheritance", :choice, choices: ["no inherit"])
      DEFERRED = field("deferred", :choice, choices: DEFERRING, label: "deferred")

      LOGICAL = [
        Model::Kind.new(
          name: "table",
          plural: "tables",
          nouns: {
            "table" => {}
          },
          fields: [
            *THREAD,
            field("why", :text, internal: true),
            field("key_called", :text, label: "name of its key"),
            field("key_written", :text, label: "rest of its key", on: SELDOM),
            field("unlogged", :flag, on: SELDOM),
            field("stored", :text, label: "storage", on: SELDOM),
            field("partitioned", :text, label: "partitioned by", on: SELDOM),
            field("meaning", :lines)
          ]
        ),
        Model::Kind.new(
          name: "column",
          plural: "columns",
          owner: ["table"],
          fields: [
            field("type", :text),
            flag("key"),
            flag("required"),
            field("key_place", :integer, internal: true, range: 1..1600),
            field("default", :lines),
            field("generated", :lines),
            field("sequence", :text, label: "its sequence", on: SELDOM),
            field("numbering", :text, label: "options of its sequence", on: SELDOM),
            *THREAD,
            field("meaning", :lines)
          ]
        ),
        Model::Kind.new(
          name: "reference",
          plural: "references",
          ends: {
            "from" => ["table"],
            "to" => ["table"],
            "column" => ["column"],
            "key" => ["column"],
            "emptied" => ["column"]
          },
          fields: [
            field("deleting", :choice, choices: ACTIONS, label: "on delete"),
            field("updating", :choice, choices: ACTIONS, label: "on update"),
            flag("full", "match full"),
            DEFERRED,
            VALIDITY,
            CALLED,
            *THREAD
          ]
        ),
        Model::Kind.new(
          name: "constraint",
          plural: "constraints",
          ends: {
            "table" => ["table"],
            "column" => ["column"]
          },
          fields: [
            field("type", :choice, choices: ["unique", "index", "unique index", "exclusion"]),
            field("as_written", :lines, label: "as written"),
            DEFERRED,
            CALLED,
            *THREAD
          ]
        ),
        Model::Kind.new(
          name: "minimum",
          plural: "minimums",
          ends: {
            "table" => ["table"],
            "of" => ["table"],
            "column" => ["column"]
          },
          fields: [field("least", :integer, range: 1..999), *THREAD]
        ),
        Model::Kind.new(
          name: "view",
          plural: "views",
          nouns: {
            "view" => {}
          },
          fields: [
            field("query", :lines),
            flag("materialised"),
            field("heading", :text, label: "columns and options", on: SELDOM),
            field("ending", :text, label: "what follows its query", on: SELDOM),
            field("why", :text, internal: true),
            field("meaning", :lines),
            *THREAD
          ]
        ),
        # That some columns of a table determine others.
        Model::Kind.new(
          name: Determining::KIND,
          plural: "determinations",
          ends: { "table" => ["table"], "left" => ["column"], "right" => ["column"] }
        ),
        *Physical::Kinds::ALL,
        Model::Kind.new(
          name: "check",
          plural: "checks",
          named: false,
          owner: ["table"],
          fields: [field("expression", :lines), INHERITANCE, VALIDITY, CALLED, *THREAD]
        ),
        Model::Kind.new(
          name: Logical::Conventions::KIND,
          plural: "conventions",
          nouns: {
            "convention" => {}
          },
          fields: [
            *Logical::Conventions::CHOICES.map { |name, choices| field(name, :choice, choices:) },
            *Logical::Conventions::PATTERNS.keys.map { |name| field(name, :text) },
            field("language", :word),
            field("prefix", :word),
            field("longest", :integer, range: 8..63),
            field("types", :text),
            *%w[sqlite mariadb iso].map { |engine| field("#{engine}_types", :text, label: "types for #{engine}") }
          ]
        )
      ].freeze

      ALL = (CONCEPTUAL + LOGICAL).freeze
    end
  end
end
