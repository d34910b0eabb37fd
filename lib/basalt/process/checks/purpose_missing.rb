# frozen_string_literal: true

module Basalt
  module Process
    module Checks
      # A process that a context is about, of which nobody said what it is for.
      class PurposeMissing < FlowCheck
        rule "purpose-missing", :hint, reads: %w[process system sheet]

        def findings
          ids = sheets("context").filter_map(&:subject_id).uniq
          ids
            .map { |id| set.element(id) }
            .select { |element| %w[process system].include?(element.kind) && element["purpose"].nil? }
            .map do |element|
              finding(
                element.id,
                "Nobody said what #{element.name} is for",
                "What belongs to it, and what does not, is decided by its purpose."
              )
            end
        end
      end
    end
  end
end
