# frozen_string_literal: true

module Basalt
  module Software
    module Classes
      # What exists in a model of classes (UML 2.5.1, clauses 9 to 11).
      module Kinds
        ABSTRACT = "abstract class"
        INTERFACE = "interface"
        ENUMERATION = "enumeration"
        PRIMITIVE = "primitive type"
        DATA_TYPE = "data type"
        SORTS = [ABSTRACT, INTERFACE, ENUMERATION, DATA_TYPE, PRIMITIVE].freeze
        # What an association, an aggregation and a composition have in common.
        ASSOCIATIONS = %w[association aggregation composition].freeze
        FEATURES = %w[property operation literal].freeze
        # What a class may be in.
        AROUND = %w[package class component system process].freeze
        # What a dependency may be from and to.
        USED = ["class", "package", "component", "port", *FEATURES].freeze

        def self.field(name, type, **rest) = Model::Field.new(name:, type:, **rest)
        def self.read(name, **rest, &reader) = field(name, :read, reader:, **rest)

        VISIBILITY = field("visibility", :choice, choices: Features::Notation::VISIBILITIES)
        TYPE = read("type") { |text| Features::Notation.read("x: #{text}").then { |one| Facts.only(one, text, :type) } }
        MULTIPLICITY =
          read("multiplicity") do |text|
            Features::Multiplicity.of(text)&.to_s or
              raise Model::BadFact, "a multiplicity is such as 0..1, 1..* or 5, not “#{Model::Names.short(text)}”"
          end
        MODIFIERS = read("modifiers") { |text| Features::Notation.read("x {#{text}}").modifiers.join(", ") }
        FEATURE = [VISIBILITY, TYPE, MULTIPLICITY, MODIFIERS].freeze
        PARAMETERS = read("parameters") { |text| Features::Notation.parameters(text).join(", ") }
        DEFAULT = read("default") { |text| Features::Notation.read("x = #{text}").then { |one| Facts.only(one, text, :default) } }
        STEREOTYPE = field("stereotype", :text)
        CONSTRAINT = field("constraint", :text)
        # What a feature said when it was read out of source code.
        AS_READ = field("as_read", :text, internal: true, own: true)
        # What each end of an association says.
        END_FIELDS = [
          MULTIPLICITY,
          field("role", :text),
          field("navigable", :choice, choices: %w[yes no])
        ].freeze

        def self.association(name, plural, one, other)
          Model::Kind.new(
            name:,
            plural:,
            ends: { one => ["class"], other => ["class"], "class" => ["class"] },
            end_fields: END_FIELDS,
            brief: ["called"],
            fields: [field("called", :text, label: "name"), STEREOTYPE, CONSTRAINT]
          )
        end

        ALL = [
          Model::Kind.new(
            name: "package",
            plural: "packages",
            nouns: { "package" => {} },
            containers: ["package"],
            distinct_by: ["container"],
            fields: [STEREOTYPE]
          ),
          Model::Kind.new(
            name: "class",
            plural: "classes",
            role: "sort",
            marked: ->(text) { Facts.titled(text) },
            nouns: { "class" => {}, **SORTS.to_h { |sort| [sort, { "sort" => sort }] } },
            containers: AROUND,
            distinct_by: ["container"],
            brief: ["sort"],
            fields: [
              field("sort", :choice, choices: SORTS, label: "sort of class"),
              read("template") { |text| Features::Notation.parameters(text).join(", ") },
              STEREOTYPE,
              CONSTRAINT,
              field("leaf", :flag, label: "not to be specialised")
            ]
          ),
          Model::Kind.new(
            name: "property",
            plural: "attributes of classes",
            owner: ["class"],
            distinct_by: %w[type modifiers],
            fields: [VISIBILITY, field("derived", :flag), TYPE, MULTIPLICITY, DEFAULT, MODIFIERS, AS_READ]
          ),
          Model::Kind.new(
            name: "operation",
            plural: "operations",
            owner: ["class"],
            distinct_by: %w[parameters type modifiers],
            fields: [VISIBILITY, PARAMETERS, TYPE, MULTIPLICITY, MODIFIERS, AS_READ]
          ),
          Model::Kind.new(name: "literal", plural: "literals", owner: ["class"]),
          association("association", "associations", "one", "other"),
          association("aggregation", "aggregations", "whole", "part"),
          association("composition", "compositions", "whole", "part"),
          Model::Kind.new(name: "generalisation", plural: "generalisations", ends: { "special" => ["class"], "general" => ["class"] }),
          Model::Kind.new(name: "realisation", plural: "realisations", ends: { "realiser" => ["class"], "realised" => ["class"] }),
          Model::Kind.new(
            name: "dependency",
            plural: "dependencies",
            ends: { "client" => USED, "supplier" => USED },
            brief: ["stereotype"],
            fields: [STEREOTYPE]
          )
        ].freeze
      end
    end
  end
end
