# frozen_string_literal: true

module Basalt
  module Brief
    module Checks
      # A requirement that asks for two things, or for what another asks for.
      class RequirementDouble < Basalt::Checks::Check
        rule "requirement-double", :hint, reads: %w[requirement]

        MOST = 2000

        def findings
          all = set.of_kind("requirement").select { |one| one["text"] && one["state"] != "dropped" }.first(MOST)
          all.select { |one| Wording.double?(one["text"]) }.map { |one| doubled(one) } + twins(all)
        end

        private

        def doubled(one)
          finding(one.id, "#{one.name} asks for two things", "One of them can be met while the other is not, and nobody could say so.")
        end

        def twins(all)
          all.combination(2).select { |one, other| Wording.alike?(one["text"], other["text"]) }.map do |one, other|
            finding([other.id, one.id], "#{other.name} says what #{one.name} says", "Two of the same are met twice, altered once.",
                    repair: repair("Drop #{other.name}", Change::Set.new(id: other.id, fact: "state", value: "dropped")))
          end
        end
      end
    end
  end
end
