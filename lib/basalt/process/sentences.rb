# frozen_string_literal: true

module Basalt
  module Process
    # The sentences about processes, both ways.
    module Sentences
      KINDS = Kinds::ENDS.join("|")
      DOERS = "party|system"

      FORMS = [
        Statements::Form.new("<from:giver> gives <name:new> to <to:receiver> {flow}") { |context, said| Flowing.join(context, said) },
        Statements::Form.new(
          "<party:thing(party)> is outside because <decided:text>",
          retract: ->(context, said, _) { context.set(said[:party].id, "decided", nil) }
        ) { |context, said| SystemBoundary.decide(context, said[:party], Kinds::OUTSIDER, said[:decided]) },
        Statements::Form.new(
          "<party:thing(party)> is inside because <decided:text>",
          retract: ->(context, said, _) { context.set(said[:party].id, "decided", nil) }
        ) { |context, said| SystemBoundary.decide(context, said[:party], Kinds::ROLE, said[:decided]) },
        Statements::Form.new(
          "<whole:named> consists of <items:items>",
          retract: ->(context, said, other) { Composition.withdraw(context, said, other) }
        ) { |context, said| Composition.say(context, said) },
        Statements::Form.new(
          "<who:thing(#{DOERS})> <does:doing> {activity}",
          retract: ->(context, said, other) { Acts.withdraw(context, said, other) }
        ) { |context, said| Acts.say(context, said) }
      ].freeze

      SLOTS = {
        giver: EndSlot.new(before: "gives"),
        receiver: EndSlot.new,
        named: NamedSlot.new,
        items: ItemsSlot.new,
        doing: DoingSlot.new,
        nature: Statements::ChoiceSlot.new(Kinds::NATURES),
        flow_state: Statements::ChoiceSlot.new(Kinds::STATES)
      }.freeze

      UNPARSERS = {
        "flow" => ->(unparser, flow) { Flowing.tell(unparser, flow) },
        "activity" => ->(unparser, activity) { Acts.tell(unparser, activity) }
      }.freeze

      def self.quality(...) = Statements::Quality.new(...)

      # A quality that puts something into a process.
      def self.contained(kind, word, blocks: nil, &moving)
        quality(
          kind,
          "#{word} <container:thing(process)>",
          take: moving,
          blocks:,
          tell: ->(unparser, element) { element.container_id ? [[word, unparser.thing(element.container_id)]] : [] },
          clear: ->(context, element, _) { context.set(element.id, "container", nil) }
        )
      end

      APART =
        quality(
          "process",
          "apart",
          take: ->(context, process, _) { context.set(process.id, "container", nil) },
          clear: ->(*) {},
          tell: ->(unparser, process) { Levels.apart?(unparser.set, process) ? [["apart"]] : [] }
        )
      # Rows are told in their order; a number is read as a place among those that were numbered.
      ROW =
        quality(
          "activity",
          "row <row:integer>",
          take: ->(context, activity, said) { context.set(activity.id, "row", said[:row].to_i * Change::OrderKey::ROOM) },
          tell: ->(*) { [] },
          clear: ->(*) {}
        )
      GIVING =
        quality(
          "activity",
          "giving <gives:words> [to <receiver:thing(#{DOERS})>]",
          take: ->(context, activity, said) { Acts.give(context, activity, said) },
          tell: ->(unparser, activity) { Acts.given(unparser, activity) },
          clear: ->(context, activity, _) { Acts.keep(context, activity) }
        )

      QUALITIES = [
        contained("process", "in") do |context, process, said|
          context.draft.apply(MoveProcess.new(id: process.id, container_id: said[:container].id))
        end,
        APART,
        quality("process", "position <position:integer>"),
        quality("process", "done by <performer:words>"),
        quality("process", "purpose <purpose:words>"),
        *Systems::QUALITIES,
        quality("store", "holds <holds:words>"),
        quality("information", "meaning <meaning:words>"),
        Statements::Quality.chosen("party", "a|an <nature:nature>", "nature") { |nature| [English.article(nature), nature] },
        quality("flow", "over <protocol:words>"),
        quality("flow", "owned by <owner:words>"),
        Statements::Quality.chosen("flow", "state <state:flow_state>", "state") { |state| ["state", state] },
        quality("activity", "processing", fact: "processing"),
        GIVING,
        quality("activity", "when <occasion:words>"),
        ROW,
        contained("activity", "within", blocks: ->(set, activity) { Levels.around(set, activity) }) do |context, activity, said|
          context.set(activity.id, "container", said[:container].id)
        end
      ].freeze
    end
  end
end
