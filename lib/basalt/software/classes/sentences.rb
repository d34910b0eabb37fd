# frozen_string_literal: true

module Basalt
  module Software
    module Classes
      # The sentences about classes, both ways.
      module Sentences
        CLASS = "thing(class)"
        KIND = Kinds::ALL.find { |kind| kind.name == "class" }
        WITHDRAW = ->(context, said, other) { Featuring.withdraw(context, said, other) }

        ASSOCIATIONS =
          Associating::VERBS.map do |kind, verb|
            pattern = "<one:#{CLASS}> #{verb} [<times:multiplicity>] <other:#{CLASS}> [as <role:word>] {#{kind}}"
            Statements::Form.new(pattern) do |context, said|
              Associating.join(context, kind, said)
            end
          end

        # @param form [String] of a relation between two
        def self.joining(form, kind, one, other)
          Statements::Form.new(form) do |context, said|
            stereotype = said.fetch(:qualities, []).filter_map { |_, values| values[:stereotype] }.first
            known =
              context.draft.relations_between(said[:one].id, said[:other].id, kind).find do |line|
                line.endpoints == [said[:one].id, said[:other].id] && line["stereotype"] == stereotype
              end
            context.show(*[said[:one], said[:other]].reject(&:owner_id))
            line = known || context.add(kind, ends: [[one, said[:one].id], [other, said[:other].id]])
            context.qualify(line, said)
          end
        end

        FORMS = [
          *%w[has can].map do |verb|
            Statements::Form.new("<class:#{CLASS}> #{verb} <features:features>", retract: WITHDRAW) do |context, said|
              Featuring.add(context, said)
            end
          end,
          Statements::Form.new(
            "#{Kinds::ENUMERATION} <name:new> : <features:features>",
            declares: [KIND, { "sort" => Kinds::ENUMERATION }, nil],
            retract: ->(context, said, other) do
              owner = context.find(Model::Names.clean(said[:name].to_str), ["class"]).first
              Featuring.withdraw(context, said.merge(class: owner), other&.merge(class: owner)) if owner
            end
          ) do |context, said|
            owner = context.declare(KIND, said[:name], { "sort" => Kinds::ENUMERATION }, said)
            Featuring.add(context, said.merge(class: owner))
          end,
          *ASSOCIATIONS,
          joining("<one:#{CLASS}> realises <other:#{CLASS}>", "realisation", "realiser", "realised"),
          joining("<one:dependable> depends on <other:dependable> {dependency}", "dependency", "client", "supplier")
        ].freeze

        SLOTS = { features: FeaturesSlot.new, multiplicity: MultiplicitySlot.new, dependable: PartSlot.new(Kinds::USED) }.freeze

        UNPARSERS = {
          **Kinds::ASSOCIATIONS.to_h { |kind| [kind, ->(unparser, line) { Associating.tell(unparser, line) }] },
          "realisation" => ->(unparser, one) do
            [unparser.say(unparser.thing(one.target("realiser")), "realises", unparser.thing(one.target("realised")))]
          end,
          "dependency" => ->(unparser, one) do
            qualities = Statements::Grammar.qualities("dependency").flat_map { |quality| quality.tell(unparser, one) }
            ends = one.endpoints.map { |id| unparser.anything(id) }
            [unparser.say(ends.first, "depends on", ends.last, *qualities.flat_map { |parts| [:comma, *parts] })]
          end
        }.freeze

        def self.quality(...) = Statements::Quality.new(...)

        # Whether objects at an end are known at the other (UML 2.5.1, 11.5.3.1).
        def self.navigable(words, value, back:)
          quality(
            Kinds::ASSOCIATIONS,
            words,
            take: ->(context, line, _) { Associating.set_end(context, line, { "navigable" => value }, back:) },
            tell: ->(_, line) { (back ? line.ends.first : line.ends.last).facts["navigable"] == value ? [[words]] : [] },
            clear: ->(context, line, _) { Associating.set_end(context, line, { "navigable" => nil }, back:) }
          )
        end

        EACH =
          quality(
            Kinds::ASSOCIATIONS,
            "each [to <back_times:multiplicity>] [as <back_role:word>]",
            take: ->(context, line, said) do
              facts = { "multiplicity" => said[:back_times], "role" => said[:back_role] }.compact
              Associating.set_end(context, line, facts, back: true)
            end,
            tell: ->(unparser, line) do
              times, role = line.ends.first.facts.values_at("multiplicity", "role")
              times || role ? [["each", *(["to", times] if times), *(["as", unparser.word(role)] if role)]] : []
            end,
            clear: ->(context, line, _) { Associating.set_end(context, line, { "multiplicity" => nil, "role" => nil }, back: true) }
          )
        TOLD_BY =
          quality(
            Kinds::ASSOCIATIONS,
            "with class <described:#{CLASS}>",
            take: ->(context, line, said) do
              context.show(said[:described])
              context.draft.apply(SetAssociationClass.new(id: line.id, class_id: said[:described].id))
            end,
            tell: ->(unparser, line) { line.target("class") ? [["with class", unparser.thing(line.target("class"))]] : [] },
            clear: ->(context, line, _) { context.draft.apply(SetAssociationClass.new(id: line.id, class_id: nil)) }
          )
        WITHIN =
          quality(
            %w[package class],
            "in <container:thing(#{Kinds::AROUND.join("|")})>",
            take: ->(context, one, said) { context.set(one.id, "container", said[:container].id) },
            tell: ->(unparser, one) { one.container_id ? [["in", unparser.thing(one.container_id)]] : [] },
            clear: ->(context, one, _) { context.set(one.id, "container", nil) }
          )

        # Told where another of the same name is in a package.
        OUTERMOST =
          quality(
            %w[package class],
            "outermost",
            outermost: true,
            take: ->(context, one, _) { context.set(one.id, "container", nil) },
            tell: ->(unparser, one) { one.container_id.nil? && namesakes?(unparser.set, one) ? [["outermost"]] : [] },
            clear: ->(*) {}
          )

        def self.namesakes?(set, one) = set.named(one.name).any? { |other| other.kind == one.kind && other.id != one.id }

        QUALITIES = [
          WITHIN,
          OUTERMOST,
          quality("class", "template <template:word>"),
          quality("class", "not to be specialised", fact: "leaf"),
          EACH,
          navigable("navigable", "yes", back: false),
          navigable("not navigable", "no", back: false),
          navigable("navigable back", "yes", back: true),
          navigable("not navigable back", "no", back: true),
          TOLD_BY,
          quality(Kinds::ASSOCIATIONS, "called <called:words>"),
          quality(["class", "package", "dependency", *Kinds::ASSOCIATIONS], "stereotype <stereotype:words>"),
          quality(["class", *Kinds::ASSOCIATIONS], "constraint <constraint:word>")
        ].freeze
      end
    end
  end
end
