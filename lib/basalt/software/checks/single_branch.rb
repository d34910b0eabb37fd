# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # Alternatives, or what happens at the same time, with one branch.
      class SingleBranch < InteractionCheck
        rule "single-branch", :warning, reads: READS

        def findings
          fragments do |item|
            next [] unless Interactions::Kinds::BRANCHED.include?(item.element["operator"]) && item.branches.length < 2

            option = Change::Set.new(id: item.element.id, fact: "operator", value: Interactions::Kinds::OPTION)
            mend = repair("Make it an option", option) if item.element["operator"] == Interactions::Kinds::EITHER
            [finding(item.element.id, "#{fragment(item)} has one branch",
                     "With one branch there is nothing to choose, and nothing beside it.", repair: mend)]
          end
        end
      end
    end
  end
end
