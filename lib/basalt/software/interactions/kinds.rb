# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # What exists in interactions (UML 2.5.1, clause 17).
      module Kinds
        INTERACTION = "interaction"
        NATURES = %w[actor object system].freeze
        CALL = "call"
        ASYNCHRONOUS = "asynchronous"
        ANSWER = "answer"
        CREATION = "creation"
        DESTRUCTION = "destruction"
        # UML 2.5.1, 17.4.3 (MessageSort); an answer is what the standard calls a reply.
        SORTS = [CALL, ASYNCHRONOUS, ANSWER, CREATION, DESTRUCTION].freeze
        # Messages that come from nobody known, and that nobody gets (17.4.3, MessageKind).
        FOUND = "found"
        LOST = "lost"
        # What a fragment does with what it holds (17.6.3, InteractionOperatorKind); a reference is an InteractionUse (17.7).
        EITHER = "alternatives"
        OPTION = "option"
        LOOP = "loop"
        PARALLEL = "parallel"
        BREAK = "break"
        REFERENCE = "reference"
        OPERATORS = [EITHER, OPTION, LOOP, PARALLEL, BREAK, REFERENCE].freeze
        # With several branches.
        BRANCHED = [EITHER, PARALLEL].freeze
        # With a condition at their first branch.
        GUARDED = [EITHER, OPTION, LOOP, BREAK].freeze
        # What stands where none of the conditions holds.
        OTHERWISE = "otherwise"
        NOTE = "note"
        TIME = "time"
        # How often a loop goes round: a number, or the least and the most.
        TIMES = /\A\d{1,6}(?: to (?:\d{1,6}|many))?\z/

        # What is in an interaction, and nowhere else.
        LOCALS = %w[participant message mark fragment].freeze
        # What stands in order, in an interaction or in a branch of a fragment.
        ITEMS = %w[message mark fragment].freeze
        # The fact that holds its key of order there.
        PLACE = "place"
        WITHIN = [INTERACTION, "operand"].freeze

        LOCAL = ->(draft, sheet) { sheet && Scope.of(draft, sheet.id) }

        def self.field(name, type, **rest) = Model::Field.new(name:, type:, **rest)
        def self.choice(name, choices, **rest) = field(name, :choice, choices:, **rest)
        def self.place = field(PLACE, :integer, range: Systems::ORDER, internal: true)

        ALL = [
          Model::Kind.new(name: INTERACTION, plural: "interactions", nouns: { INTERACTION => {} }, fields: []),
          Model::Kind.new(
            name: "participant",
            plural: "participants",
            nouns: { "participant" => {} },
            containers: [INTERACTION],
            distinct_by: ["container"],
            ordered: "lane",
            local: LOCAL,
            brief: ["type"],
            fields: [choice("nature", NATURES), field("type", :text, label: "of"), Systems::LANE]
          ),
          Model::Kind.new(
            name: "message",
            plural: "messages",
            named: true,
            ends: { "from" => ["participant"], "to" => ["participant"] },
            containers: WITHIN,
            ordered: PLACE,
            local: LOCAL,
            brief: ["sort"],
            making: { "from" => "participant", "to" => "participant" },
            columns: { "end from" => "from", "sort" => "sort", "end to" => "to", "name" => "says" },
            fields: [choice("sort", SORTS), choice("open", [FOUND, LOST], label: "found or lost"), place]
          ),
          Model::Kind.new(
            name: "mark",
            plural: "notes and times",
            named: true,
            ends: { "at" => ["participant"], "to" => ["participant"] },
            containers: WITHIN,
            ordered: PLACE,
            local: LOCAL,
            columns: { "end at" => "at", "end to" => "to", "sort" => "sort", "name" => "says" },
            fields: [choice("sort", [NOTE, TIME]), place]
          ),
          Model::Kind.new(
            name: "fragment",
            plural: "fragments",
            named: false,
            containers: WITHIN,
            ordered: PLACE,
            local: LOCAL,
            brief: ["operator"],
            fields: [
              choice("operator", OPERATORS),
              field("times", :text),
              field("refers", :text, label: "refers to"),
              place
            ]
          ),
          Model::Kind.new(
            name: "operand",
            plural: "branches",
            named: false,
            owner: ["fragment"],
            brief: ["guard"],
            fields: [field("guard", :text, label: "when"), field("note", :text, internal: true)]
          )
        ].freeze
      end
    end
  end
end
