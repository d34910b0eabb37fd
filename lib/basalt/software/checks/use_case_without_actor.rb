# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # A use case in which nobody takes part, and that no other includes and that extends none.
      class UseCaseWithoutActor < Basalt::Checks::Check
        rule "use-case-without-actor",
             :warning,
             reads: ["use case", "actor", "involvement", "inclusion", "extension", "use case generalisation"],
             each: "use case",
             near: 3

        def about(use_case)
          return [] if joined?(use_case.id) || Generalising.above(set, use_case.id).any? { |id| joined?(id) }

          why = "A use case is there for somebody, who gets something of value from it."
          [finding(use_case.id, "Nobody takes part in #{use_case.name}", why)]
        end

        # What something is a kind of may be far.
        def self.given(set) = set.of_kind("use case generalisation").map(&:targets)

        private

        def joined?(id)
          set.relations_of(id).any? do |line|
            line.kind == "involvement" || (line.kind == "inclusion" && line.target("included") == id) ||
              (line.kind == "extension" && line.target("extending") == id)
          end
        end
      end
    end
  end
end
