# frozen_string_literal: true

module Basalt
  module Brief
    # The sentences about briefs, both ways.
    module Sentences
      REQUIREMENT = Kinds::ALL.first

      STANDS =
        "in <source:thing(source)> stands <quote:word> at <at:integer> [as <as:word>] [version <version:integer>] [for <things:things>] " \
        "[noting <note:word>] [became <became:word>]"

      FORMS = [
        Statements::Form.new(
          "requirement <name:new> : <text:text>",
          declares: [REQUIREMENT, {}, nil],
          retract: ->(context, said, other) { Satisfaction.untold(context, said, other) }
        ) do |context, said|
          requirement = context.declare(REQUIREMENT, said[:name], {}, {})
          context.set(requirement.id, "text", said[:text])
        end,
        Statements::Form.new(
          "<thing:anything> meets <requirements:things(requirement)>",
          late: true,
          retract: ->(context, said, _) { Satisfaction.retract(context, said) }
        ) { |context, said| Satisfaction.say(context, said) },
        Statements::Form.new("<thing:anything> is there for <other:anything>", late: true) do |context, said|
          context.draft.apply(Satisfaction.joining(context.draft, "serves", said[:thing].id, said[:other].id))
        end,
        Statements::Form.new(STANDS, late: true, retract: ->(context, said, _) { Marking.retract(context, said) }) do |context, said|
          Marking.say(context, said)
        end
      ].freeze

      SLOTS = {
        type: Statements::ChoiceSlot.new(Kinds::TYPES),
        priority: Statements::ChoiceSlot.new(Kinds::PRIORITIES),
        state: Statements::ChoiceSlot.new(Kinds::STATES)
      }.freeze

      UNPARSERS = {
        # A part without a name tells it itself.
        "meets" => ->(unparser, one) do
          thing = unparser.set.element(one.target("thing"))
          next [] if thing.owner_id && thing.name.nil?

          [unparser.say(unparser.anything(one.target("thing")), "meets", unparser.thing(one.target("requirement")))]
        end,
        "serves" => ->(unparser, one) do
          [unparser.say(unparser.anything(one.target("thing")), "is there for", unparser.anything(one.target("other")))]
        end,
        "marking" => ->(_teller, _one) { [] }
      }.freeze

      def self.quality(...) = Statements::Quality.new(...)

      # A word of a choice that is said by itself.
      def self.chosen(words, fact)
        quality(
          "requirement",
          "#{words} <value:#{fact}>".strip,
          take: ->(context, element, said) { context.set(element.id, fact, said[:value]) },
          tell: ->(_, element) { element[fact] ? [["#{words} #{element[fact]}".strip]] : [] },
          clear: ->(context, element, _) { context.set(element.id, fact, nil) }
        )
      end

      QUALITIES = [
        chosen("a", "type"),
        chosen("priority", "priority"),
        chosen("state", "state"),
        *{ "from" => "source", "owned by" => "owner", "group" => "group" }.map do |words, fact|
          quality("requirement", "#{words} <#{fact}:words>")
        end,
        quality("numbering", "pattern <pattern:word>"),
        quality("source", "origin <origin:words>"),
        quality("source", "dated <dated:words>"),
        quality("source", "version <version:integer>")
      ].freeze
    end
  end
end
