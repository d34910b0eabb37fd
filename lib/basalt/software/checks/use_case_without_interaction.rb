# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # A use case whose course nobody traced, in a project where others are: a hint until those who know it confirmed it.
      class UseCaseWithoutInteraction < InteractionCheck
        rule "use-case-without-interaction", :hint, reads: ["use case", "interaction", "thread"], each: "use case"

        def self.given(set) = set.elements.any_by?(:kind, "interaction")

        def about(use_case)
          return [] unless self.class.given(set) && UseCases::Threads.to(set, use_case.id).none? { |one| traced?(one) }

          found = finding(use_case.id, "No interaction traces #{use_case.name}", "Nobody can say yet which operations carry it.")
          [use_case["state"] == "confirmed" ? found.with(severity: :warning) : found]
        end

        private

        def traced?(thread) = thread["verb"] == "comes from" && set.element(thread.target("of"))&.kind == "interaction"
      end
    end
  end
end
