# frozen_string_literal: true

require "date"

module Basalt
  module Decisions
    # What there is of decisions: the question, what could have been chosen, the choice and its reason, and what it is about.
    module Kinds
      DECISION = "decision"
      OPTION = "option"
      CONCERNS = "concerns"
      REPLACES = "replaces"
      # Of a record as it is customary: Nygard, "Documenting Architecture Decisions", 2011.
      STATES = %w[proposed accepted rejected].freeze
      DATE = /\A\d{4}-\d{2}-\d{2}\z/

      def self.text(name, label = nil, **rest) = Model::Field.new(name:, type: :text, label:, **rest)

      # @raise [Model::BadFact] for what is no day of the calendar
      def self.day(text)
        return text if text.match?(DATE) && Date.valid_date?(*text.split("-").map(&:to_i))

        raise Model::BadFact, "a day is said as 2026-11-27, not “#{Model::Names.short(text)}”"
      end

      ALL = [
        Model::Kind.new(
          name: DECISION,
          plural: "decisions",
          marked: ->(text) { text.strip },
          nouns: { "decision" => {} },
          brief: %w[choice reason],
          fields: [
            text("question"), text("choice"), text("reason"), Model::Field.new(name: "status", type: :choice, choices: STATES),
            Model::Field.new(name: "dated", type: :read, label: "date", reader: method(:day)), text("who", "by"), text("consequences"),
            text("gone", "once about", internal: true)
          ]
        ),
        Model::Kind.new(name: OPTION, plural: "options", owner: [DECISION], path: " option ", fields: [text("for"), text("against")]),
        Model::Kind.new(
          name: CONCERNS,
          plural: "what decisions are about",
          ends: { "decision" => [DECISION], "thing" => Model::Kind::ANYTHING },
          fields: [text("as_decided", "as it was then", internal: true, own: true)]
        ),
        Model::Kind.new(name: REPLACES, plural: "what decisions replace", ends: { "decision" => [DECISION], "earlier" => [DECISION] })
      ].freeze
    end
  end
end
