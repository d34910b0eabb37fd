# frozen_string_literal: true

module Basalt
  module Process
    module Checks
      # A flow of which nobody said what it is.
      class UnnamedFlow < FlowCheck
        rule "unnamed-flow", :warning, reads: %w[flow activity process party store system], each: "flow"

        # What the rows of the activity table give is guessed from.
        def self.given(set) = set.of_kind("activity").map { |one| [one.id, one["gives"], one.ends] }

        def about(flow)
          return [] unless flow.name == Kinds::UNSAID

          from, to = ends(flow)
          wanted = guess(flow)
          [
            finding(
              flow.id,
              "Nobody said what #{from.name} gives to #{to.name}",
              "A flow without a name says no more than that the two have to do with each other.",
              repair: wanted && repair("Call it “#{wanted}”", Change::Set.new(id: flow.id, fact: "name", value: wanted))
            )
          ]
        end

        private

        # What the activity table says that one of the two gives or gets.
        def guess(flow)
          ids = flow.targets
          row =
            set.of_kind("activity").find { |one| one["gives"] && (ids.include?(one.target("who")) || ids.include?(Acts.receiver(one))) }
          row && English::Phrases.bare(row["gives"])
        end
      end
    end
  end
end
