# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # A use case that is there only to be included, by one other.
      class IncludeUsedOnce < Basalt::Checks::Check
        rule "include-used-once", :hint, reads: ["use case", "inclusion", "involvement", "extension"], each: "use case"

        def about(use_case)
          lines = set.relations_of(use_case.id, "inclusion").select { |line| line.target("included") == use_case.id }
          return [] unless lines.one? && set.relations_of(use_case.id, "involvement", "extension").empty?

          by = set.element(lines.first.target("including"))
          [
            finding(
              use_case.id,
              "Only #{by.name} includes #{use_case.name}",
              "What one use case alone does is told among its steps; another is worth it where several share it."
            )
          ]
        end
      end
    end
  end
end
