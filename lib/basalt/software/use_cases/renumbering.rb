# frozen_string_literal: true

module Basalt
  module Software
    module UseCases
      # Branches stay with the step that they leave, and go on at the one that they led to, whatever numbers an act gives these.
      module Renumbering
        FACTS = %w[from resumes].freeze

        module_function

        # @param draft [Change::Draft] all that an act does
        def settle(draft)
          altered = draft.elements.differences.flat_map { |_, before, after| [before, after].compact }
          owners = altered.select { |one| one.kind == "step" }.map(&:owner_id).uniq
          owners.each { |id| renumber(draft, id) if draft.element(id)&.kind == "use case" && draft.base.element(id) }
        end

        def renumber(draft, use_case_id)
          before, after = [draft.base, draft].map { |set| Description.new(set, use_case_id).steps.map(&:id) }
          return if before == after.first(before.length)

          Description.new(draft, use_case_id).branches.each { |branch| follow(draft, branch, before, after) }
        end

        # What the act itself says of a branch stays.
        def follow(draft, branch, before, after)
          was = draft.base.element(branch.id) or return
          FACTS.each do |fact|
            next if branch[fact].nil? || branch[fact] != was[fact] || branch[fact] == Kinds::NOWHERE

            id = before[branch[fact] - 1] or next
            now = (after.index(id) || -1) + 1
            draft.apply(Change::Set.new(id: branch.id, fact:, value: now)) unless now == branch[fact]
          end
        end
      end
    end
  end
end
