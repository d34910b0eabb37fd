# frozen_string_literal: true

module Basalt
  module Data
    # The sentences about conceptual data models.
    module Sentences
      ENTITY = "thing(entity)"
      CLAUSE =
        "[a|an|the] <one:#{ENTITY}> [as <one_role:word>] <verb:phrase> [<cardinality:cardinality>] " \
        "<other:#{ENTITY}> [as <other_role:word>]".freeze
      BACK =
        "[a|an|the] <back_one:#{ENTITY}> [as <back_one_role:word>] <back:phrase> [<back_cardinality:cardinality>] " \
        "<back_other:#{ENTITY}> [as <back_other_role:word>]".freeze
      WITHDRAW = ->(context, said, other) { Describing.withdraw(context, said, other) }

      FORMS = [
        Statements::Form.new(
          "<owner:thing(entity|relationship|meeting)> has <attributes:attributes>",
          retract: WITHDRAW
        ) { |context, said| Describing.add(context, said) },
        Statements::Form.new(
          "<one:#{ENTITY}> <verb:phrase> <other:#{ENTITY}> has <attributes:attributes>",
          retract: WITHDRAW
        ) { |context, said| Describing.add(context, said) },
        Statements::Form.new("<special:subject> is a kind of <general:name>") { |context, said| Specialising.one(context, said) },
        Statements::Form.new(
          "<general:subject> is either <kinds:kinds> [, <complete:complete>]",
          retract: ->(context, said, _) { Specialising.retract(context, said) }
        ) { |context, said| Specialising.all(context, said, "disjoint") },
        Statements::Form.new(
          "<general:subject> is any of <kinds:kinds> [, <complete:complete>]",
          retract: ->(context, said, _) { Specialising.retract(context, said) }
        ) { |context, said| Specialising.all(context, said, "overlapping") },
        Statements::Form.new("<entities:entities(entity)> meet in <meeting:name>") do |context, said|
          NaryRelationship.join(context, said)
        end,
        Statements::Form.new(
          "in <meeting:thing(meeting)> the others meet <cardinality:cardinality> <entity:#{ENTITY}> [as <role:word>]",
          retract: ->(context, said, _) { NaryRelationship.decide(context, said.merge(cardinality: nil, role: nil)) }
        ) { |context, said| NaryRelationship.decide(context, said) },
        Statements::Form.new("#{CLAUSE} [; #{BACK}] {relationship}") { |context, said| Relating.join(context, said) }
      ].freeze

      TABLE = "thing(table)"
      THREAD = "[from <thread:word> [derived as <as_derived:word>]]"
      CALLED = "[named <called:word>]"
      UNTHREAD = ->(context, said, _) { %w[thread as_derived].each { |fact| context.set(said[:table].id, fact, nil) } }
      UNCOLUMN = ->(context, said, other) { Tabling.withdraw(context, said, other) }
      UNKEYED = ->(context, said, _) { Tabling.unplace(context, said) }
      UNCHECK = ->(context, said, _) { Tabling.uncheck(context, said) }
      TABLES = [
        Statements::Form.new(
          "<table:thing(table|view)> comes from <thread:word> [derived as <as_derived:word>]",
          late: true,
          retract: UNTHREAD
        ) { |context, said| Tabling.threaded(context, said[:table], said) },
        Statements::Form.new("<table:#{TABLE}> has <columns:columns>", late: true, retract: UNCOLUMN) do |context, said|
          Tabling.add(context, said)
        end,
        Statements::Form.new("<table:#{TABLE}> is keyed by <names:names>", late: true, retract: UNKEYED) do |context, said|
          Tabling.key(context, said[:table], said[:names].map(&:to_str))
        end,
        Statements::Form.new(
          "<table:#{TABLE}> refers to <other:#{TABLE}> [by <names:names>] [at <keys:names>] " \
          "[deleting <deleting:referring> [of <emptied:names>]] [updating <updating:referring>] [matching <full:full>] " \
          "[<deferred:deferring>] [<validity:validity>] #{CALLED} #{THREAD}",
          late: true
        ) { |context, said| Tabling.say_reference(context, said) },
        *Tabling::CONSTRAINING.flat_map do |type, words|
          [*("by <names:names>" unless type == "exclusion"), "as <as_written:lines>"].map do |what|
            deferred = " [<deferred:deferring>]" unless Physical::Definitions::INDEXES.key?(type)
            Statements::Form.new("<table:#{TABLE}> #{words} #{what}#{deferred} #{CALLED} #{THREAD}", late: true) do |context, said|
              Tabling.say_written(context, said, type)
            end
          end
        end,
        Statements::Form.new(
          "<table:#{TABLE}> needs at least <least:integer> <other:#{TABLE}> by <names:names> #{THREAD}",
          late: true
        ) { |context, said| Tabling.say_minimum(context, said) },
        Statements::Form.new(
          "<table:#{TABLE}> checks <expression:lines> [<inheritance:inheritance>] [<validity:validity>] #{CALLED} #{THREAD}",
          late: true,
          retract: UNCHECK
        ) { |context, said| Tabling.say_check(context, said) },
        Statements::Form.new("in <table:#{TABLE}> <left:names> determines <right:names>", late: true) do |context, said|
          Determining.say(context, said)
        end,
        *Physical::Sentences::FORMS
      ].freeze

      SLOTS = {
        columns: ColumnsSlot.new,
        names: NamesSlot.new,
        referring: Statements::ChoiceSlot.new(Kinds::ACTIONS),
        deferring: Statements::ChoiceSlot.new(Kinds::DEFERRING),
        inheritance: Statements::ChoiceSlot.new(Kinds::INHERITANCE.choices),
        validity: Statements::ChoiceSlot.new(Kinds::VALIDITY.choices),
        full: Statements::ChoiceSlot.new(%w[full]),
        values: NamesSlot.new,
        afterwards: Statements::ChoiceSlot.new(%w[afterwards]),
        strategy: Statements::ChoiceSlot.new(Logical::SpecialisationMapping::STRATEGIES),
        cardinality: CardinalitySlot.new,
        attributes: AttributesSlot.new,
        kinds: KindsSlot.new,
        subject: SubjectSlot.new,
        entities: EntitiesSlot.new,
        **Logical::Conventions::CHOICES.to_h { |name, choices| [:"by_#{name}", Statements::ChoiceSlot.new(choices)] },
        complete: Statements::WordSlot.new(/\Acomplete\z/, "“complete”", quoted: false)
      }.freeze

      UNPARSERS = {
        "relationship" => ->(unparser, element) { Relating.tell(unparser, element) },
        "specialisation" => ->(unparser, element) { Specialising.tell(unparser, element) },
        "participation" => ->(unparser, element) { NaryRelationship.tell(unparser, element) },
        "dependence" => ->(_teller, _element) { [] },
        "reference" => ->(unparser, element) { Tabling.tell_reference(unparser, element) },
        "constraint" => ->(unparser, element) { Tabling.tell_constraint(unparser, element) },
        "minimum" => ->(unparser, element) { Tabling.tell_minimum(unparser, element) },
        Determining::KIND => ->(unparser, element) { Determining.tell(unparser, element) },
        "inheritance" => ->(unparser, element) { Physical::Sentences.tell_inheritance(unparser, element) }
      }.freeze

      def self.quality(...) = Statements::Quality.new(...)

      OWNER =
        quality(
          "entity",
          "of <owner:#{ENTITY}>",
          take: ->(context, entity, said) { Dependence.give(context, entity, said[:owner]) },
          tell: ->(unparser, entity) { Dependence.owners(unparser.set, entity.id).map { |owner| ["of", unparser.thing(owner.id)] } },
          clear: ->(context, entity, _) { Dependence.clear(context, entity) }
        )

      QUALITIES = [
        OWNER,
        quality(%w[relationship meeting], "kept over time", fact: "kept"),
        quality("relationship", "confirmed <confirmed:word>"),
        quality("relationship", "disputed <disputed:word>"),
        quality("entity", "kinds kept <strategy:strategy>"),
        quality("entity", "language <language:word>"),
        quality(Logical::Conventions::KIND, "language <language:word>"),
        quality("view", "query <query:lines>"),
        *Physical::Sentences::QUALITIES,
        quality("table", "key named <key_called:word>"),
        quality(%w[table view], "because <why:word>"),
        quality(%w[table view], "meaning <meaning:lines>"),
        *Logical::Conventions::CHOICES.keys.map { |name| quality(Logical::Conventions::KIND, "#{name} <#{name}:by_#{name}>") },
        *Logical::Conventions::PATTERNS.keys.map { |name| Conventional.pattern(name) },
        quality(Logical::Conventions::KIND, "prefix <prefix:word>"),
        quality(Logical::Conventions::KIND, "types <types:word>"),
        *%w[sqlite mariadb iso].map { |engine| quality(Logical::Conventions::KIND, "types for #{engine} <#{engine}_types:word>") },
        quality(Logical::Conventions::KIND, "longest <longest:integer>"),
        quality(%w[entity relationship meeting], "meaning <meaning:word>"),
        quality(%w[entity relationship meeting], "also called <synonyms:word>")
      ].freeze
    end
  end
end
