# frozen_string_literal: true

module Basalt
  module Software
    module Components
      # What exists among the parts of a system (UML 2.5.1, clause 11.6).
      module Kinds
        # What a component may be in, and what stands around a system, by the names of their kinds.
        AROUND = %w[system process component package].freeze
        NEIGHBOURS = %w[party system process store].freeze
        ENDS = %w[component port].freeze

        def self.field(name, type, **rest) = Model::Field.new(name:, type:, **rest)

        ALL = [
          Model::Kind.new(
            name: "component",
            plural: "components",
            marked: ->(text) { Systems.titled(text) },
            nouns: { "component" => {} },
            containers: AROUND,
            brief: ["purpose"],
            fields: [field("purpose", :text), field("stereotype", :text)]
          ),
          Model::Kind.new(name: "port", plural: "ports of components", owner: ["component"], fields: [field("purpose", :text)]),
          Model::Kind.new(
            name: "provision",
            plural: "provided interfaces",
            ends: { "component" => ENDS, "interface" => ["class"] }
          ),
          Model::Kind.new(
            name: "need",
            plural: "required interfaces",
            ends: { "component" => ENDS, "interface" => ["class"] }
          ),
          Model::Kind.new(
            name: "exchange",
            plural: "lines from outside",
            ends: { "component" => ENDS, "neighbour" => NEIGHBOURS },
            brief: ["what"],
            fields: [field("what", :text), field("hands", :flag, label: "goes outwards")]
          )
        ].freeze
      end
    end
  end
end
