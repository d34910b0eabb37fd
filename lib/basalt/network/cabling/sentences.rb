# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # What is said of ports and of the rules of cabling.
      module Sentences
        module_function

        # @param use [String] one of PortGroup::USES
        # @return [Statements::Quality]
        def ports(use)
          Statements::Quality.new(
            ["device", Models::KIND],
            "#{use} <names:port_names> [slot <slot:integer>] [<medium:medium>] [<speed:port_speed>] [<plugs:pluggable>] " \
            "[connector <connector:word>] [<pluggable:pluggable>]",
            take: ->(context, unit, said) { say(context, unit, use, said) },
            tell: ->(_unparser, unit) { told(unit, use) },
            clear: ->(context, unit, _) { context.set(unit.id, "ports", nil) }
          )
        end

        def say(context, unit, use, said)
          known = context.draft.element(unit.id)["ports"]
          group =
            PortGroup.new(
              use:,
              names: PortNames.read(said[:names]),
              **said.slice(:slot, :medium, :speed, :connector),
              pluggable: said[:pluggable] || said[:plugs] ? true : nil
            )
          context.set(unit.id, "ports", PortGroups.with(known, group))
          Models.refuse_twice(context.draft, context.draft.element(unit.id)) if unit.kind == "device"
        end

        def told(unit, use)
          return [] unless unit["ports"]

          PortGroups.read(unit["ports"]).select { |group| group.use == use }.map { |group| [use, group.names.to_s, *group.words] }
        end

        # A rule whose fact has a name of several words.
        def rule(fact, slot)
          Statements::Quality.new(
            Rules::KIND,
            "#{fact} <value:#{slot}>",
            take: ->(context, rules, said) { context.set(rules.id, fact, said[:value]) },
            tell: ->(unparser, rules) { rules[fact] ? [[fact, slot == :length ? "#{rules[fact]}m" : unparser.word(rules[fact])]] : [] },
            clear: ->(context, rules, _) { context.set(rules.id, fact, nil) }
          )
        end

        # A unit is of one model, and each slot holds one card.
        MODELS = [
          Statements::Quality.new(
            "device",
            "model <model:thing(#{Models::KIND})>",
            take: ->(context, unit, said) { Models.give(context, unit, said[:model], nil) },
            tell: ->(unparser, unit) {
              Models.of(unparser.set, unit).reject(&:last).map { |model, _|
                ["model", unparser.thing(model.id)]
              }
            },
            clear: ->(context, unit, _) { Models.take_out(context, unit) }
          ),
          Statements::Quality.new(
            "device",
            "slot <slot:integer> holds <model:thing(#{Models::KIND})>",
            take: ->(context, unit, said) { Models.give(context, unit, said[:model], said[:slot]) },
            tell: ->(unparser, unit) do
              Models.of(unparser.set, unit).select(&:last).map { |model, slot| ["slot", slot.to_s, "holds", unparser.thing(model.id)] }
            end,
            clear: ->(context, unit, said) { Models.take_out(context, unit, said[:slot]) }
          )
        ].freeze

        FORMS = [
          Statements::Form.new(
            "<unit:thing(device)> <port:port> carries [vlan <vlan:integer>] [tagged <tagged:numbers>]",
            retract: ->(context, said, _) { Vlans.forget(context, said) }
          ) { |context, said| Vlans.say(context, said) },
          Statements::Form.new(
            "swap <one:thing(device)> <one_port:port> and <other:thing(device)> <other_port:port>"
          ) { |context, said| Renumbering.swap(context, said) },
          Statements::Form.new("shift <unit:thing(device)> <ports:port> by <by:steps>") { |context, said| Renumbering.shift(context, said) }
        ].freeze

        RULES = [
          rule("numbering", :word),
          rule("host names", :word),
          rule("rack units", :word),
          *Roles::ALL.map { |role| rule(Rules.labels(role), :word) },
          *Rules::LONGEST.keys.map { |medium| rule(Rules.longest(medium), :length) }
        ].freeze
      end
    end
  end
end
