# frozen_string_literal: true

module Basalt
  module Process
    # What exists in a process.
    module Kinds
      OUTSIDER = "outsider"
      ROLE = "role"
      NATURES = %w[person system organisation device].freeze
      STATES = ["planned", "agreed", "in use", "ending"].freeze
      # What gives and gets.
      ENDS = %w[party system process store].freeze
      # What a flow is called before anybody said what passes.
      UNSAID = "something"

      # The columns of the activity table.
      TABLE = {
        "end who" => "who",
        "name" => "does",
        "processing" => "processes information",
        "gives" => "gives",
        "end to" => "to whom",
        "occasion" => "when",
        "container" => "within",
        "row" => "row"
      }.freeze

      def self.field(name, type, **rest) = Model::Field.new(name:, type:, **rest)

      ALL = [
        Model::Kind.new(
          name: "party",
          serving: true,
          ordered: "lane",
          marked: ->(text) { English::Phrases.titled(text) },
          plural: "parties",
          role: "standing",
          brief: ["nature"],
          nouns: {
            OUTSIDER => {
              "standing" => OUTSIDER
            },
            ROLE => {
              "standing" => ROLE
            }
          },
          fields: [
            field("standing", :choice, choices: [OUTSIDER, ROLE]),
            field("nature", :choice, choices: NATURES),
            field("decided", :text, label: "decided, because"),
            Systems::LANE
          ]
        ),
        Systems::KIND,
        Model::Kind.new(
          name: "process",
          marked: ->(text) { English::Phrases.done(text) },
          plural: "processes",
          nouns: {
            "process" => {}
          },
          containers: ["process"],
          brief: ["performer"],
          distinct_by: ["container"],
          moving: MoveProcess,
          fields: [field("performer", :text, label: "done by"), field("purpose", :text), field("position", :integer, range: 1..9999)]
        ),
        Model::Kind.new(
          name: "store",
          serving: true,
          marked: ->(text) { English::Phrases.titled(text) },
          plural: "stores",
          nouns: {
            "store" => {}
          },
          fields: [field("holds", :text)]
        ),
        Model::Kind.new(
          name: "flow",
          plural: "flows",
          named: true,
          ends: {
            "from" => ENDS,
            "to" => ENDS
          },
          default_names: {
            "flow" => UNSAID
          },
          brief: ["protocol"],
          fields: [field("protocol", :text), field("owner", :text), field("state", :choice, choices: STATES)]
        ),
        Model::Kind.new(
          name: "activity",
          marked: ->(text) { text.strip },
          plural: "activities",
          named: true,
          ends: {
            "who" => %w[party system],
            "to" => %w[party system]
          },
          default_names: {
            "activity" => "takes part"
          },
          containers: ["process"],
          ordered: "row",
          open_end: "to",
          making: {
            "who" => "party",
            "to" => "party"
          },
          columns: TABLE,
          fields: [
            field("processing", :flag, label: "processes information"),
            field("gives", :text),
            field("occasion", :text, label: "when"),
            field("row", :integer, range: Systems::ORDER, internal: true)
          ]
        ),
        Model::Kind.new(name: "information", plural: "information", nouns: { "information" => {} }, fields: [field("meaning", :text)]),
        Model::Kind.new(name: "item", plural: "items", owner: ["information"], fields: [field("meaning", :text)])
      ].freeze
    end
  end
end
