# frozen_string_literal: true

module Basalt
  module Process
    # The sentences about processes, both ways.
    module Sentences
      KINDS = Kinds::ENDS.join("|")
      DOERS = "party|system"

      FORMS = [
        Statements::Form.new("<from:giver> gives <name:new> to <to:receiver> {flow}") { |context, said| Flowing.join(context, said) },
        Statements::Form.new("<party:thing(party)> is outside because <decided:text>", unsay: ->(context, said, _) { context.set(said[:party].id, "decided", nil) }) do |context, said|
          Standing.decide(context, said[:party], Kinds::OUTSIDER, said[:decided])
        end,
        Statements::Form.new("<party:thing(party)> is inside because <decided:text>", unsay: ->(context, said, _) { context.set(said[:party].id, "decided", nil) }) do |context, said|
          Standing.decide(context, said[:party], Kinds::ROLE, said[:decided])
        end,
        Statements::Form.new("<whole:named> consists of <items:items>", unsay: ->(context, said, other) { Composition.withdraw(context, said, other) }) { |context, said| Composition.say(context, said) },
        Statements::Form.new("<who:thing(#{DOERS})> <does:doing> {activity}", unsay: ->(context, said, other) { Acts.withdraw(context, said, other) }) { |context, said| Acts.say(context, said) }
      ].freeze

      SLOTS = {
        giver: EndSlot.new(before: "gives"), receiver: EndSlot.new, named: NamedSlot.new, items: ItemsSlot.new, doing: DoingSlot.new,
        nature: Statements::ChoiceSlot.new(Kinds::NATURES), flow_state: Statements::ChoiceSlot.new(Kinds::STATES)
      }.freeze

      TELLINGS = {
        "flow" => ->(teller, flow) { Flowing.tell(teller, flow) },
        "activity" => ->(teller, activity) { Acts.tell(teller, activity) }
      }.freeze

      def self.quality(...) = Statements::Quality.new(...)

      QUALITIES = [
        quality("process", "in <container:thing(process)>", take: ->(context, process, said) { context.draft.apply(Moving.new(id: process.id, container_id: said[:container].id)) },
                                                            tell: ->(teller, process) { process.container_id ? [["in", teller.thing(process.container_id)]] : [] },
                                                            clear: ->(context, process) { context.set(process.id, "container", nil) }),
        quality("process", "apart", take: ->(context, process, _) { context.set(process.id, "container", nil) }, tell: ->(teller, process) { Levels.apart?(teller.set, process) ? [["apart"]] : [] }, clear: ->(*) {}),
        quality("process", "position <position:integer>"), quality("process", "done by <performer:word>"), quality(%w[process system], "purpose <purpose:word>"),
        quality("system", "owned by <owner:word>"), quality("party", "a|an <nature:nature>", tell: ->(_, party) { party["nature"] ? [[English.article(party["nature"]), party["nature"]]] : [] }, take: ->(context, party, said) { context.set(party.id, "nature", said[:nature]) }, clear: ->(context, party) { context.set(party.id, "nature", nil) }), quality("store", "holds <holds:word>"),
        quality("flow", "over <protocol:word>"), quality("flow", "owned by <owner:word>"), quality("flow", "state <state:flow_state>", take: ->(context, flow, said) { context.set(flow.id, "state", said[:state]) },
                                                                                                                                       tell: ->(_, flow) { flow["state"] ? [["state #{flow['state']}"]] : [] },
                                                                                                                                       clear: ->(context, flow) { context.set(flow.id, "state", nil) }),
        quality("activity", "processing", fact: "processing"),
        quality("activity", "giving <gives:word> [to <receiver:thing(#{DOERS})>]", take: ->(context, activity, said) { Acts.give(context, activity, said) }, tell: ->(teller, activity) { Acts.given(teller, activity) },
                                                                                   clear: ->(context, activity) { Acts.keep(context, activity) }),
        quality("activity", "when <occasion:word>"), quality("activity", "within <container:thing(process)>", take: ->(context, activity, said) { context.set(activity.id, "container", said[:container].id) },
                                                                                                              tell: ->(teller, activity) { activity.container_id ? [["within", teller.thing(activity.container_id)]] : [] },
                                                                                                              clear: ->(context, activity) { context.set(activity.id, "container", nil) }),
        quality("activity", "row <row:integer>"), quality(%w[information], "meaning <meaning:word>")
      ].freeze
    end
  end
end
