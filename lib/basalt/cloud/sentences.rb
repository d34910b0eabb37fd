# frozen_string_literal: true

module Basalt
  module Cloud
    # The sentences about clouds, both ways.
    module Sentences
      K = Kinds
      JOINED = K::JOINED.join("|")
      HOLDERS = K::HOLDERS.join("|")

      SLOTS = {
        blocks: PrefixesSlot.new,
        block: Statements::WordSlot.new(%r{\A[\dA-Fa-f.:]+/\d+\z}, "a block such as 10.60.1.0/24", stops: true, quoted: false),
        standing: Statements::WordSlot.new(/\A([\dA-Fa-f]*:[\dA-Fa-f:.]*|\d+(\.\d+){3})\z/, "an address such as 10.60.1.20", quoted: false),
        passing: TrafficSlot.new,
        traffic: TrafficSlot.new(all: true)
      }.freeze

      def self.form(...) = Statements::Form.new(...)
      def self.quality(...) = Statements::Quality.new(...)

      # Puts something into a boundary, said with what else is said in the same breath.
      def self.put(context, one, said, fact = nil)
        context.set(one.id, fact.to_s, said[fact]) if fact && said[fact]
        context.set(one.id, "container", said[:container].id) if said[:container]
      end

      IN =
        quality(
          K::BOUNDARY,
          "in <container:thing(#{K::BOUNDARY})>",
          take: ->(context, one, said) { put(context, one, said) },
          tell: ->(unparser, one) { one.container_id && one["prefixes"].nil? ? [["in", unparser.thing(one.container_id)]] : [] },
          clear: ->(context, one, _) { context.set(one.id, "container", nil) }
        )
      STANDING =
        quality(
          K::RESOURCE,
          "in <container:thing(#{K::BOUNDARY})> [at <address:standing>]",
          take: ->(context, one, said) { put(context, one, said, :address) },
          tell: ->(unparser, one) do
            one.container_id ? [["in", unparser.thing(one.container_id), *(["at", one["address"]] if one["address"])]] : []
          end,
          clear: ->(context, one, said) { ["container", *("address" if said[:address])].each { |fact| context.set(one.id, fact, nil) } }
        )
      BLOCKS =
        quality(
          K::BOUNDARY,
          "<prefixes:blocks> [in <container:thing(#{K::BOUNDARY})>]",
          take: ->(context, one, said) { put(context, one, said, :prefixes) },
          tell: ->(unparser, one) do
            one["prefixes"] ? [[one["prefixes"], *(["in", unparser.thing(one.container_id)] if one.container_id)]] : []
          end,
          clear: ->(context, one, said) { ["prefixes", *("container" if said[:container])].each { |fact| context.set(one.id, fact, nil) } }
        )

      DETAIL =
        quality(
          [K::BOUNDARY, K::RESOURCE],
          "fact <key:word> <value:word>",
          take: ->(context, one, said) do
            known = Details.read(context.draft.element(one.id)["details"])
            context.set(one.id, "details", Details.write(known.merge(Details.key(said[:key]) => said[:value])))
          end,
          tell: ->(unparser, one) { Details.read(one["details"]).map { |key, value| ["fact", unparser.word(key), unparser.word(value)] } },
          clear: ->(context, one, said) do
            context.set(one.id, "details",
                        Details.write(Details.read(context.draft.element(one.id)["details"]).except(Details.key(said[:key]))))
          end
        )

      SHOWING =
        quality(
          K::RESOURCE,
          "showing <fact:word>",
          take: ->(context, one, said) { context.draft.apply(ShownFacts.showing(context.draft.element(one.id), said[:fact], true)) },
          tell: ->(unparser, one) { ShownFacts.of(one).map { |name| ["showing", unparser.word(name)] } },
          clear: ->(context, one, said) { context.draft.apply(ShownFacts.showing(context.draft.element(one.id), said[:fact], false)) }
        )

      PASSING =
        quality(
          K::CONNECTION,
          "<traffic:passing>",
          take: ->(context, one, said) { said[:traffic].each { |fact, value| context.set(one.id, fact, value) } },
          tell: ->(_, one) { one["protocol"] ? [[TrafficText.words(one["protocol"], one["ports"])]] : [] },
          clear: ->(context, one, _) { %w[protocol ports].each { |fact| context.set(one.id, fact, nil) } }
        )

      ADDRESS =
        quality(K::RESOURCE, "at <address:standing>",
                tell: ->(_, one) { one["address"] && one.container_id.nil? ? [["at", one["address"]]] : [] })

      QUALITIES = [
        BLOCKS,
        IN,
        STANDING,
        quality([K::BOUNDARY, K::RESOURCE], "zone <zone:word>"),
        ADDRESS,
        quality(K::RESOURCE, "public", fact: "public"),
        DETAIL,
        SHOWING,
        PASSING,
        quality(K::CONNECTION, "both ways", fact: "both"),
        quality(K::CONNECTION, "label <label:words>"),
        quality(K::CONNECTION, "taken from the rules", fact: "taken")
      ].freeze

      CONNECTIONS = Verbs::ALL.map do |verb|
        form("<from:thing(#{JOINED})> #{verb} <to:thing(#{JOINED})> {#{K::CONNECTION}}") { |context, said| Connecting.join(context, said, verb) }
      end

      # @return [Statements::Form] of a rule in one direction
      def self.rule(action, direction, whom)
        source = "<holder:thing(#{HOLDERS})> #{action} #{direction} <traffic:traffic> #{Rules::TOWARDS.fetch(direction)} #{whom} {#{K::RULE}}"
        retract = ->(context, said, _) { Rules.withdraw(context, said, action, direction) }
        form(source, retract:) { |context, said| Rules.state(context, said, action, direction) }
      end

      RULES = Rules::ACTIONS.product(Rules::DIRECTIONS, [Rules::ANYBODY, "<block:block>", "<peer:thing(#{K::GROUP})>"])
        .map { |action, direction, whom| rule(action, direction, whom) }

      ROUTES = [
        form("<table:thing(#{K::RESOURCE})> routes <prefix:block> to <to:thing(#{JOINED})> {#{K::ROUTE}}",
             retract: ->(context, said, _) { Routes.withdraw(context, said) }) { |context, said| Routes.state(context, said) },
        form("<table:thing(#{K::RESOURCE})> drops <prefix:block> {#{K::ROUTE}}",
             retract: ->(context, said, _) { Routes.withdraw(context, said) }) { |context, said| Routes.state(context, said) },
        form("<by:thing(#{K::RESOURCE})> governs <subnet:thing(#{K::BOUNDARY})> {#{K::GOVERNANCE}}") { |context, said| Routes.govern(context, said) }
      ].freeze

      FORMS = [*CONNECTIONS, *RULES, *ROUTES].freeze

      UNPARSERS = {
        K::CONNECTION => Connecting.method(:tell),
        K::RULE => Rules.method(:tell),
        K::ROUTE => Routes.method(:tell),
        K::GOVERNANCE => Routes.method(:tell_governing)
      }.freeze
    end
  end
end
