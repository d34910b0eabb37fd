# frozen_string_literal: true

module Basalt
  module Journeys
    module Checks
      # A step that asks a store by facts by which it cannot be asked.
      class StoreCannotAnswer < JourneyCheck
        rule "store-cannot-answer", :warning, reads: READS

        private

        def at(one, step)
          facts = Asking.facts(step.element["asks"])
          return [] if step.reads.nil? || facts.empty?

          asking = Asking.new(set, step.reads.id)
          asking.answers?(facts) ? [] : [unanswered(one, step, facts, asking)]
        end

        def unanswered(one, step, facts, asking)
          ways = asking.ways.map { |way| English.list(way) }
          known = ways.any? ? "It is asked by #{ways.join(", or by ")}." : "Nobody said how it is asked."
          finding(
            [step.element.id, step.reads.id],
            "#{step.reads.name} cannot be asked by #{English.list(facts)}, as #{title(one, step.element)} does",
            "#{known} What is kept by other facts is found only by looking at all of it.",
            repair: repair("Let it be asked by #{English.list(facts)}",
                           Change::Add.new(kind: Kinds::ASKING, facts: { "by" => facts.join(" and ") }, ends: [["store", step.reads.id]]))
          )
        end
      end
    end
  end
end
