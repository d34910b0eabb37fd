# frozen_string_literal: true

module Basalt
  module Decisions
    module Checks
      # A choice of which nobody said why.
      class DecisionWithoutReason < Basalt::Checks::Check
        rule "decision-without-reason", :warning, reads: [Kinds::DECISION, Kinds::REPLACES], each: Kinds::DECISION

        def about(decision)
          return [] if decision["choice"].nil? || decision["reason"] || !About.stands?(set, decision)

          [finding(decision.id, "Nobody said why #{decision.name} was decided so",
                   "A year on it will be kept to out of habit, or undone without knowing what it was for.")]
        end
      end
    end
  end
end
