# frozen_string_literal: true

module Basalt
  module Process
    module Checks
      # A process that only gives out.
      class OnlyOut < OneSided
        rule "only-out", :warning, reads: %w[process flow]
        looks_at "process",
                 lacks: :in,
                 words: "gets nothing",
                 why: "What comes out has to come from somewhere: a process cannot make it of nothing."
      end
    end
  end
end
