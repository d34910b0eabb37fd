# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # A branch that leaves a step that is not there.
      class BranchFromNowhere < Basalt::Checks::Check
        rule "branch-from-nowhere", :error, reads: ["branch", "step", "use case"], each: "use case"

        def about(use_case)
          description = UseCases::Description.new(set, use_case.id)
          description.branches.flat_map { |branch| [from(use_case, description, branch), to(use_case, description, branch)].compact }
        end

        private

        def from(use_case, description, branch)
          return if description.rooted?(branch)

          finding(
            [use_case.id, branch.id],
            "A branch of #{use_case.name} leaves no step#{": #{branch["condition"]}" if branch["condition"]}",
            "A branch leaves the step at which things go another way; this one's is not there."
          )
        end

        def to(use_case, description, branch)
          return if branch["resumes"].nil? || branch["resumes"].between?(1, description.steps.length)

          finding(
            [branch.id, use_case.id],
            "Branch #{description.label(branch)} of #{use_case.name} goes on at a step that is not there",
            "It ends nowhere: say at which step it goes on, or that it does not.",
            repair: repair("Let it end there", Change::Set.new(id: branch.id, fact: "resumes", value: nil))
          )
        end
      end
    end
  end
end
