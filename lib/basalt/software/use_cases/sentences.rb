# frozen_string_literal: true

module Basalt
  module Software
    module UseCases
      # The sentences about actors and use cases, both ways.
      module Sentences
        ACTOR = "thing(actor)"
        CASE = "thing(use case)"

        # @return [Model::Element] the relation, which may have been there
        def self.join(context, kind, first, last)
          context.show(first[1], last[1])
          context.draft.relations_between(first[1].id, last[1].id, kind).find { |one| one.endpoints == [first[1].id, last[1].id] } ||
            context.add(kind, ends: [first, last].map { |role, element| [role, element.id] })
        end

        def self.involve(context, said, starts)
          one = join(context, "involvement", ["actor", said[:actor]], ["use case", said[:use_case]])
          context.set(one.id, "starts", starts) unless (one["starts"] || nil) == starts
        end

        RETRACT_STEP = ->(context, said, other) { Describing.withdraw(context, said, other) }

        FORMS = [
          Statements::Form.new("<actor:#{ACTOR}> takes part in <use_case:thing(use case|actor)>") do |context, said|
            involve(context, said, nil)
          end,
          Statements::Form.new("<actor:#{ACTOR}> starts <use_case:#{CASE}>") { |context, said| involve(context, said, true) },
          Statements::Form.new("<including:#{CASE}> includes <included:#{CASE}>") do |context, said|
            join(context, "inclusion", ["including", said[:including]], ["included", said[:included]])
          end,
          Statements::Form.new("<extending:#{CASE}> extends <extended:#{CASE}> [when <condition:words>] {extension}") do |context, said|
            one = join(context, "extension", ["extending", said[:extending]], ["extended", said[:extended]])
            context.set(one.id, "condition", said[:condition]) if said[:condition]
            context.qualify(one, said)
          end,
          Statements::Form.new(
            "step <number:stepnumber> of <use_case:#{CASE}> [by <who:words>] : <does:text>",
            retract: RETRACT_STEP
          ) { |context, said| Describing.step(context, said) },
          Statements::Form.new(
            "branch <number:branchnumber> of <use_case:#{CASE}> [going on at <resumes:integer>] : <condition:text>",
            retract: RETRACT_STEP
          ) { |context, said| Describing.branch(context, said) },
          Statements::Form.new(
            "in <system:thing(system)> nobody <verb:thread> <source:anything> because <reason:text>",
            late: true,
            retract: ->(context, said, _) do
              known = Threads.closed(context.draft, said[:system].id, said[:verb], said[:source].id)
              context.draft.apply(Change::Remove.new(id: known.id)) if known
            end
          ) do |context, said|
            context.draft.apply(Threads.closing(context.draft, said[:system].id, said[:verb], said[:source].id, said[:reason]))
          end,
          Statements::Form.new(
            "<of:thing(actor|use case|class|component|interaction)> <verb:thread> <source:anything>",
            late: true,
            retract: ->(context, said, _) do
              threads = Threads.of(context.draft, said[:of].id)
              found = threads.find { |one| one["verb"] == said[:verb] && one.target("source") == said[:source].id }
              context.draft.apply(Change::Remove.new(id: found.id)) if found
            end
          ) { |context, said| context.draft.apply(Threads.joining(context.draft, said[:of].id, said[:verb], said[:source].id)) }
        ].freeze

        SLOTS = {
          stepnumber: Statements::WordSlot.new(Describing::NUMBER, "a number such as 3 or 3a1", quoted: false),
          branchnumber: Statements::WordSlot.new(/\A\d{1,3}[a-z]{1,2}\z/, "a number and a letter such as 3a", quoted: false),
          thread: Statements::ChoiceSlot.new(Threads::VERBS),
          actor_nature: Statements::ChoiceSlot.new(Kinds::NATURES),
          use_priority: Statements::ChoiceSlot.new(Kinds::PRIORITIES),
          validation: Statements::ChoiceSlot.new(Kinds::STATES)
        }.freeze

        def self.between(verb, one, other) = ->(unparser, line) {
          [unparser.say(unparser.thing(line.target(one)), verb, unparser.thing(line.target(other)))]
        }

        UNPARSERS = {
          "involvement" => ->(unparser, one) do
            verb = one["starts"] ? "starts" : "takes part in"
            [unparser.say(unparser.thing(one.target("actor")), verb, unparser.thing(one.target("use case")))]
          end,
          "inclusion" => between("includes", "including", "included"),
          "extension" => ->(unparser, one) do
            qualities = Statements::Grammar.qualities("extension").flat_map { |quality| quality.tell(unparser, one) }
            ends = [unparser.thing(one.target("extending")), "extends", unparser.thing(one.target("extended"))]
            on = one["condition"] ? ["when", bare(unparser, one["condition"])] : []
            [unparser.say(*ends, *on, *qualities.flat_map { |parts| [:comma, *parts] })]
          end,
          "thread" => ->(unparser, one) do
            [unparser.say(unparser.thing(one.target("of")), one["verb"] || "comes from", unparser.anything(one.target("source")))]
          end,
          "nobody" => ->(unparser, one) do
            about = ["in", unparser.thing(one.target("system")), "nobody", one["verb"], unparser.anything(one.target("source"))]
            [unparser.say(*about, "because", one["reason"] || Describing::UNSAID)]
          end
        }.freeze

        # A few words that nothing there could take for others stand without quotes.
        def self.bare(unparser, text)
          plain = text.match?(/\A[\p{L}\p{N}'-]+( [\p{L}\p{N}'-]+)*\z/) && !text.split.include?("at")
          plain ? text : unparser.word(text)
        end

        def self.quality(...) = Statements::Quality.new(...)

        WITHIN =
          quality(
            ["use case", "actor"],
            "in <container:thing(system|package)>",
            take: ->(context, one, said) { context.set(one.id, "container", said[:container].id) },
            tell: ->(unparser, one) { one.container_id ? [["in", unparser.thing(one.container_id)]] : [] },
            clear: ->(context, one, _) { context.set(one.id, "container", nil) }
          )

        QUALITIES = [
          Statements::Quality.chosen("actor", "a|an <nature:actor_nature>", "nature") { |nature| [English.article(nature), nature] },
          WITHIN,
          Statements::Quality.chosen("use case", "priority <priority:use_priority>", "priority") { |priority| ["priority", priority] },
          Statements::Quality.chosen("use case", "state <state:validation>", "state") { |state| ["state", state] },
          quality("use case", "estimate <estimate:words>"),
          *%w[goal before after].map { |fact| quality("use case", "#{fact} <#{fact}:word>") },
          quality("use case", "extension points <points:word>"),
          quality("extension", "at <point:words>")
        ].freeze
      end
    end
  end
end
