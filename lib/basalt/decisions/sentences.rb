# frozen_string_literal: true

module Basalt
  module Decisions
    # The sentences about decisions, both ways.
    module Sentences
      K = Kinds
      DECISION = "thing(decision)"
      BECAUSE = " because "

      # @return [Array(String, String)] what was chosen, and why
      def self.parted(text) = text.split(BECAUSE, 2).map(&:strip)

      # @return [Boolean] whether choice and reason can be said in one sentence
      def self.plain?(choice) = !choice.nil? && !choice.include?(BECAUSE) && choice == choice.strip && !choice.end_with?(" because")

      def self.decide(context, said)
        decision = context.declare(Model::Catalogue.kind(K::DECISION), said[:name], {}, {})
        choice, reason = parted(said[:text])
        context.set(decision.id, "choice", choice)
        context.set(decision.id, "reason", reason)
      end

      # Where no other sentence tells of it the decision says no more what was chosen.
      def self.undecide(context, said, other)
        decision = context.find(Model::Names.clean(said[:name].to_str), [K::DECISION]).first or return
        return if other && other[:name].to_str == decision.name

        context.draft.apply(Change::Remove.new(id: decision.id))
      end

      def self.option(context, said)
        name = Model::Names.clean(said[:name].to_str)
        known = context.draft.parts_of(said[:decision].id).find { |one| one.name == name } ||
                context.add(K::OPTION, name:, owner_id: said[:decision].id)
        context.qualify(known, said)
      end

      def self.no_option(context, said, other)
        known = context.draft.parts_of(said[:decision].id).find { |one| one.name == said[:name].to_str } or return
        same = other && other[:name].to_str == known.name && other[:decision].id == said[:decision].id
        return unsaid(context, known, said, other) if same

        context.draft.apply(Change::Remove.new(id: known.id))
      end

      # What another sentence about the same no longer says is not so.
      def self.unsaid(context, element, said, other)
        left = other.fetch(:qualities, []).map(&:first)
        said.fetch(:qualities, []).each { |quality, values| quality.clear(context, element, values) unless left.include?(quality) }
      end

      def self.concern(context, said)
        context.draft.apply(About.concerning(context.draft, said[:decision].id, said[:thing].id))
        return unless said[:otherwise]

        relation(context.draft, K::CONCERNS, said).each { |one| context.set(one.id, "as_decided", About::OTHERWISE) }
      end

      def self.relation(set, kind, said)
        ends = [said[:decision].id, (said[:thing] || said[:earlier]).id]
        set.relations_of(ends.first, kind).select { |one| one.endpoints == ends }
      end

      def self.replace(context, said)
        decision, earlier = said.values_at(:decision, :earlier)
        raise Mistake, "#{decision.name} cannot replace itself" if decision.id == earlier.id
        raise Mistake, "#{earlier.name} replaces #{decision.name} already" if replaces?(context.draft, earlier.id, decision.id)
        return if relation(context.draft, K::REPLACES, said).any?

        context.add(K::REPLACES, ends: [["decision", decision.id], ["earlier", earlier.id]])
      end

      # @return [Boolean] whether one replaces another, or what replaces it does
      def self.replaces?(set, id, other) = About.earlier(set, id).any? { |one| one.id == other || replaces?(set, one.id, other) }

      def self.taken_back(kind)
        lambda do |context, said, _|
          relation(context.draft, kind, said).each { |one| context.draft.apply(Change::Remove.new(id: one.id)) }
        end
      end

      FORMS = [
        Statements::Form.new(
          "decision <name:new> : <text:text>",
          declares: [Kinds::ALL.first, {}, nil],
          retract: ->(context, said, other) { undecide(context, said, other) }
        ) { |context, said| decide(context, said) },
        Statements::Form.new(
          "option <name:new> of <decision:#{DECISION}> {option}",
          retract: ->(context, said, other) { no_option(context, said, other) }
        ) { |context, said| option(context, said) },
        Statements::Form.new(
          "<decision:#{DECISION}> concerns <thing:anything> [which was <otherwise:otherwise>]",
          late: true,
          retract: taken_back(K::CONCERNS)
        ) { |context, said| concern(context, said) },
        Statements::Form.new(
          "<decision:#{DECISION}> replaces <earlier:#{DECISION}>",
          late: true,
          retract: taken_back(K::REPLACES)
        ) { |context, said| replace(context, said) }
      ].freeze

      SLOTS = { decision_status: Statements::ChoiceSlot.new(K::STATES), otherwise: Statements::ChoiceSlot.new([About::OTHERWISE]) }.freeze

      # @return [Array<String>] what is told behind a decision
      def self.details(unparser, decision)
        told = unparser.set.parts_of(decision.id).map { |one| told_option(unparser, decision, one) }
        return told unless plain?(decision["choice"])

        [unparser.say("decision", unparser.name(decision.name), :colon, [decision["choice"], decision["reason"]].compact.join(BECAUSE)),
         *told]
      end

      def self.told_option(unparser, decision, one)
        qualities = Statements::Grammar.qualities(K::OPTION).flat_map { |quality| quality.tell(unparser, one) }
        unparser.say("option", unparser.name(one.name), "of", unparser.thing(decision.id), *qualities.flat_map { |parts| [:comma, *parts] })
      end

      UNPARSERS = {
        K::CONCERNS => ->(unparser, one) do
          otherwise = About.altered?(unparser.set, one) ? ["which was", About::OTHERWISE] : []
          [unparser.say(unparser.thing(one.target("decision")), "concerns", unparser.anything(one.target("thing")), *otherwise)]
        end,
        K::REPLACES => ->(unparser, one) do
          [unparser.say(unparser.thing(one.target("decision")), "replaces", unparser.thing(one.target("earlier")))]
        end
      }.freeze

      def self.quality(source, **rest) = Statements::Quality.new(K::DECISION, source, **rest)

      # Told by itself only where the sentence of the decision does not tell it.
      def self.beside(words, fact)
        quality(
          "#{words} <#{fact}:word>",
          take: ->(context, one, said) { context.set(one.id, fact, said[fact.to_sym]) },
          tell: ->(unparser, one) { one[fact] && !plain?(one["choice"]) ? [[words, unparser.word(one[fact])]] : [] },
          clear: ->(context, one, _) { context.set(one.id, fact, nil) }
        )
      end

      QUALITIES = [
        quality("question <question:word>"),
        beside("choosing", "choice"),
        beside("because", "reason"),
        Statements::Quality.chosen(K::DECISION, "status <status:decision_status>", "status") { |status| ["status", status] },
        quality("dated <dated:word>"),
        quality("by <who:words>"),
        quality("consequences <consequences:word>"),
        quality("once about <gone:word>"),
        *%w[for against].map { |fact| Statements::Quality.new(K::OPTION, "#{fact} <#{fact}:word>") }
      ].freeze
    end
  end
end
