# frozen_string_literal: true

module Basalt
  module Software
    module Components
      # The sentences about components, both ways.
      module Sentences
        PART = "part_of_component"
        NEIGHBOUR = "thing(#{Kinds::NEIGHBOURS.join("|")})".freeze

        # @return [Model::Element] the relation, which may have been there
        def self.join(context, kind, first, last, facts = {})
          context.show(*[first[1], last[1]].reject(&:owner_id))
          known =
            context.draft.relations_between(first[1].id, last[1].id, kind).find do |one|
              one.endpoints == [first[1].id, last[1].id] && facts.all? { |fact, value| one[fact] == value }
            end
          known || context.add(kind, ends: [first, last].map { |role, element| [role, element.id] }, facts: facts.compact)
        end

        def self.interface(verb, kind)
          Statements::Form.new("<component:#{PART}> #{verb} <interface:thing(class)>") do |context, said|
            join(context, kind, ["component", said[:component]], ["interface", said[:interface]])
          end
        end

        def self.exchange(pattern, outwards)
          Statements::Form.new(pattern) do |context, said|
            facts = { "what" => said[:what], "hands" => outwards }
            join(context, "exchange", ["component", said[:component]], ["neighbour", said[:neighbour]], facts)
          end
        end

        FORMS = [
          interface("provides", "provision"),
          interface("requires", "need"),
          exchange("<component:#{PART}> takes <what:words> from <neighbour:#{NEIGHBOUR}>", nil),
          exchange("<component:#{PART}> hands <what:words> to <neighbour:#{NEIGHBOUR}>", true),
          Statements::Form.new(
            "<component:thing(component)> has the port <name:word>",
            retract: ->(context, said, other) do
              known = port(context.draft, said[:component].id, said[:name])
              next unless known

              renamed = other && other[:component].id == said[:component].id
              change = renamed ? Change::Set.new(id: known.id, fact: "name", value: other[:name]) : Change::Remove.new(id: known.id)
              context.draft.apply(change)
            end
          ) do |context, said|
            context.show(said[:component])
            name = Model::Names.clean(said[:name])
            port(context.draft, said[:component].id, name) || context.add("port", name:, owner_id: said[:component].id)
          end
        ].freeze

        def self.port(set, component_id, name) = set.parts_of(component_id).find { |part| part.kind == "port" && part.name == name }

        def self.tell_interface(verb) = ->(unparser, one) {
          [unparser.say(unparser.anything(one.target("component")), verb, unparser.thing(one.target("interface")))]
        }

        UNPARSERS = {
          "provision" => tell_interface("provides"),
          "need" => tell_interface("requires"),
          "exchange" => ->(unparser, one) do
            verb, way = one["hands"] ? %w[hands to] : %w[takes from]
            what = unparser.word(one["what"] || "something")
            [unparser.say(unparser.anything(one.target("component")), verb, what, way, unparser.thing(one.target("neighbour")))]
          end
        }.freeze

        SLOTS = { part_of_component: PartSlot.new(Kinds::ENDS) }.freeze

        # What is told behind the declaration of a component.
        def self.tell(unparser, component)
          unparser.set.parts_of(component.id).map do |port|
            unparser.say(unparser.thing(component.id), "has the port", unparser.word(port.name))
          end
        end

        def self.quality(...) = Statements::Quality.new(...)

        QUALITIES = [
          quality(
            "component",
            "in <container:thing(#{Kinds::AROUND.join("|")})>",
            take: ->(context, one, said) { context.set(one.id, "container", said[:container].id) },
            tell: ->(unparser, one) { one.container_id ? [["in", unparser.thing(one.container_id)]] : [] },
            clear: ->(context, one, _) { context.set(one.id, "container", nil) }
          ),
          quality("component", "purpose <purpose:words>"),
          quality("component", "stereotype <stereotype:words>")
        ].freeze
      end
    end
  end
end
