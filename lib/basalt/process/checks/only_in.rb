# frozen_string_literal: true

module Basalt
  module Process
    module Checks
      # A process that only takes in.
      class OnlyIn < FlowCheck
        rule "only-in", :warning, reads: %w[process flow]

        def findings
          set.of_kind("process").select { |process| drawn?(process.id) }.filter_map do |process|
            next if Flowing.into(set, process.id).empty? || Flowing.out_of(set, process.id).any?

            finding(process.id, "#{process.name} gives nothing", "What goes in has to come to something: a process that only takes in would lose it.")
          end
        end
      end
    end
  end
end
