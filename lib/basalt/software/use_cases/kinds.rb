# frozen_string_literal: true

module Basalt
  module Software
    module UseCases
      # What exists among use cases (UML 2.5.1, clause 18).
      module Kinds
        NATURES = %w[person system time].freeze
        PRIORITIES = %w[must should could].freeze
        # How far those who know the matter have looked at it.
        STATES = %w[sketched discussed confirmed disputed].freeze
        # Of a branch whose step went away.
        NOWHERE = 0
        STEPS = (1..999)

        def self.field(name, type, **rest) = Model::Field.new(name:, type:, **rest)
        def self.choice(name, choices, **rest) = field(name, :choice, choices:, **rest)

        # @return [String] the name of a use case, from the words of a text
        def self.titled(text) = English::Phrases.done(text)

        ALL = [
          Model::Kind.new(
            name: "actor",
            plural: "actors",
            marked: ->(text) { Systems.titled(text) },
            nouns: { "actor" => {} },
            containers: ["system"],
            brief: ["nature"],
            fields: [choice("nature", NATURES)]
          ),
          Model::Kind.new(
            name: "use case",
            plural: "use cases",
            marked: ->(text) { titled(text) },
            nouns: { "use case" => {} },
            phrased: true,
            containers: %w[system package],
            brief: ["priority"],
            fields: [
              choice("priority", PRIORITIES),
              field("estimate", :text),
              choice("state", STATES),
              field("goal", :text),
              field("before", :text),
              field("after", :text),
              field("points", :text, label: "extension points")
            ]
          ),
          Model::Kind.new(
            name: "involvement",
            plural: "who takes part",
            ends: { "actor" => ["actor"], "use case" => ["use case", "actor"] },
            brief: ["starts"],
            fields: [field("starts", :flag, label: "starts it")]
          ),
          Model::Kind.new(
            name: "inclusion",
            plural: "inclusions",
            ends: { "including" => ["use case"], "included" => ["use case"] }
          ),
          Model::Kind.new(
            name: "extension",
            plural: "extensions",
            ends: { "extending" => ["use case"], "extended" => ["use case"] },
            brief: ["condition"],
            fields: [field("condition", :text), field("point", :text, label: "extension point")]
          ),
          *["actor", "use case"].map do |kind|
            Model::Kind.new(
              name: "#{kind} generalisation",
              plural: "#{kind} generalisations",
              ends: { "special" => [kind], "general" => [kind] }
            )
          end,
          Model::Kind.new(
            name: "step",
            plural: "steps",
            named: false,
            owner: ["use case", "branch"],
            fields: [field("who", :text), field("does", :text)]
          ),
          Model::Kind.new(
            name: "branch",
            plural: "branches",
            named: false,
            owner: ["use case"],
            fields: [
              field("from", :integer, range: (NOWHERE..999), label: "from step"),
              field("condition", :text),
              field("resumes", :integer, range: (NOWHERE..999), label: "goes on at step")
            ]
          )
        ].freeze
      end
    end
  end
end
