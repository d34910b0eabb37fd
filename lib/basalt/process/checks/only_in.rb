# frozen_string_literal: true

module Basalt
  module Process
    module Checks
      # A process that only takes in.
      class OnlyIn < OneSided
        rule "only-in", :warning, reads: %w[process flow]
        looks_at "process",
                 lacks: :out,
                 words: "gives nothing",
                 why: "What goes in has to come to something: a process that only takes in would lose it."
      end
    end
  end
end
