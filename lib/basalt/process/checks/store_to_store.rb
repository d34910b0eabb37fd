# frozen_string_literal: true

module Basalt
  module Process
    module Checks
      # A flow that no process takes part in.
      class StoreToStore < FlowCheck
        rule "store-to-store", :warning, reads: %w[flow party system store]

        def findings
          flows.select { |flow| ends(flow).all? { |one| one.kind == "store" } }.map do |flow|
            finding(flow.id, "#{flow.name} goes from store to store by itself", "Stores do nothing; a process moves what they hold.")
          end
        end
      end
    end
  end
end
