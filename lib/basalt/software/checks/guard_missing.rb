# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # A branch that is gone only sometimes does not say when.
      class GuardMissing < InteractionCheck
        rule "guard-missing", :warning, reads: READS

        def findings
          fragments do |item|
            next [] unless Interactions::Kinds::GUARDED.include?(item.element["operator"])

            item.branches.each_with_index.filter_map { |branch, index| bare(item, branch.element, index) }
          end
        end

        private

        def bare(item, operand, index)
          return if operand["guard"] || (item.element["operator"] == Interactions::Kinds::LOOP && item.element["times"])

          number = item.branches.length > 1 ? ", branch #{index + 1}," : ""
          finding(
            [item.element.id, operand.id],
            "The #{item.element["operator"]}#{number} does not say when",
            "Whoever builds it has to guess on what it depends."
          )
        end
      end
    end
  end
end
