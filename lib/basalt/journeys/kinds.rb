# frozen_string_literal: true

module Basalt
  module Journeys
    # What there is of journeys: who walks, what is done step by step, and what things have to have for it.
    module Kinds
      JOURNEY = "journey"
      STEP = "journey step"
      BRANCH = "journey branch"
      GOING_ON = "going on"
      STATES = "states"
      ASKING = "way of asking"
      # Whose parts are steps.
      OWNERS = [JOURNEY, STEP, BRANCH].freeze
      # Facts of a step that name a part of the design, or something that has states.
      NAMING = %w[from to reads writes moves].freeze

      def self.text(name, label = nil) = Model::Field.new(name:, type: :text, label:)
      def self.flag(name, label) = Model::Field.new(name:, type: :flag, label:)

      ALL = [
        Model::Kind.new(
          name: JOURNEY,
          plural: "journeys",
          nouns: { "journey" => {} },
          marked: ->(text) { English::Phrases.done(text) },
          phrased: true,
          brief: ["who"],
          figure: Unseen.new,
          fields: [text("who", "by"), text("goal")]
        ),
        Model::Kind.new(
          name: STEP,
          plural: "journey steps",
          named: false,
          owner: OWNERS,
          fields: [
            text("from"), text("to"), text("passes"), text("reads"), text("asks", "reads it by"), text("writes"), text("moves"),
            text("was", "from the state"), text("state", "to the state"), text("condition", "when"), flag("signs_in", "signs in"),
            flag("signed_in", "only signed in"), flag("refusable", "may be refused")
          ]
        ),
        Model::Kind.new(
          name: BRANCH,
          plural: "journey branches",
          named: false,
          owner: [STEP],
          fields: [text("condition", "when"), flag("refusal", "on refusal")]
        ),
        Model::Kind.new(name: GOING_ON, plural: "where journeys go on", ends: { "from" => [STEP, BRANCH], "to" => [STEP] }),
        Model::Kind.new(
          name: STATES,
          plural: "states of things",
          ends: { "of" => Model::Kind::ANYTHING },
          fields: [text("names", "in order"), text("ends", "ending as")]
        ),
        Model::Kind.new(name: ASKING, plural: "ways of asking", ends: { "store" => Model::Kind::ANYTHING }, fields: [text("by")])
      ].freeze
    end
  end
end
