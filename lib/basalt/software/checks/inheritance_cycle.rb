# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # Classes that are kinds of each other.
      class InheritanceCycle < GeneralisationCycle
        rule "inheritance-cycle", :error, reads: %w[class generalisation]

        private

        def lines = @lines ||= set.of_kind("generalisation")
      end
    end
  end
end
