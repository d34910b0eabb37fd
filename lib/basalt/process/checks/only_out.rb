# frozen_string_literal: true

module Basalt
  module Process
    module Checks
      # A process that only gives out.
      class OnlyOut < FlowCheck
        rule "only-out", :warning, reads: %w[process flow]

        def findings
          set.of_kind("process").select { |process| drawn?(process.id) }.filter_map do |process|
            next if Flowing.out_of(set, process.id).empty? || Flowing.into(set, process.id).any?

            finding(process.id, "#{process.name} gets nothing", "What comes out has to come from somewhere: a process cannot make it of nothing.")
          end
        end
      end
    end
  end
end
