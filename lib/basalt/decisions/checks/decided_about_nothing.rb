# frozen_string_literal: true

module Basalt
  module Decisions
    module Checks
      # A decision that is about nothing of the design.
      class DecidedAboutNothing < Basalt::Checks::Check
        rule "decided-about-nothing", :hint, reads: [Kinds::DECISION, Kinds::CONCERNS, Kinds::REPLACES], each: Kinds::DECISION

        def about(decision)
          return [] if decision["gone"] || About.of(set, decision.id).any? || !About.stands?(set, decision)

          [finding(decision.id, "#{decision.name} is about nothing of the design",
                   "Whoever looks at what it was decided for will not find it: “#{decision.name} concerns …” says what that is.")]
        end
      end
    end
  end
end
