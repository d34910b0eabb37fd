# frozen_string_literal: true

module Basalt
  module Data
    # What exists in a conceptual data model.
    module Kinds
      def self.flag(name) = Model::Field.new(name:, type: :flag)

      ALL = [
        Model::Kind.new(name: "entity", plural: "entities", nouns: { "entity" => {} }),
        Model::Kind.new(name: "attribute", plural: "attributes", owner: "entity", fields: [flag("key"), flag("required"), flag("many")]),
        Model::Kind.new(name: "relationship", plural: "relationships", named: true, ends: { "one" => ["entity"], "other" => ["entity"] },
                        default_names: { "relationship" => "relates to" }, brief: ["back"],
                        end_fields: [Model::Field.new(name: "cardinality", type: :pattern, label: "how many", choices: CardinalitySlot::WORDS, range: Cardinality::RANGE)],
                        fields: [Model::Field.new(name: "back", type: :text, label: "verb of the other direction")])
      ].freeze
    end
  end
end
