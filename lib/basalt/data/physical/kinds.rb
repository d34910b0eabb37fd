# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # What a database holds beside tables and views, and how tables stand to each other in it.
      module Kinds
        OBJECT = "database object"
        ENUMERATION = "enumeration"
        TYPES = [
          OBJECT, "schema", "extension", ENUMERATION, "domain", "composite type", "range type", "sequence", "function", "procedure",
          "aggregate"
        ].freeze
        # Those that a column can be of.
        OF_COLUMNS = [ENUMERATION, "domain", "composite type", "range type"].freeze

        WRITTEN = Model::Field.new(name: "written", type: :lines, label: "SQL")

        ALL = [
          # Kept as the SQL that makes it.
          Model::Kind.new(
            name: OBJECT,
            plural: "database objects",
            role: "type",
            trade: "database",
            yielding: true,
            distinct_by: ["type"],
            nouns: TYPES.to_h { |type| [type, { "type" => type }] },
            fields: [Model::Field.new(name: "type", type: :choice, choices: TYPES), WRITTEN]
          ),
          # SQL about one of them that stands behind it: triggers, rules, policies, settings.
          Model::Kind.new(name: "addition", plural: "additions", named: false, owner: ["table", "view", OBJECT], fields: [WRITTEN]),
          # A partition tells its bounds.
          Model::Kind.new(
            name: "inheritance",
            plural: "inheritances",
            ends: { "table" => ["table"], "parent" => ["table"] },
            fields: [
              Model::Field.new(name: "bounds", type: :text), Model::Field.new(name: "afterwards", type: :flag, label: "once it is made")
            ]
          )
        ].freeze
      end
    end
  end
end
