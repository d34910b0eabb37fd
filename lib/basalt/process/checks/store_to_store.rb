# frozen_string_literal: true

module Basalt
  module Process
    module Checks
      # A flow that no process takes part in.
      class StoreToStore < FlowCheck
        rule "store-to-store", :warning, reads: %w[flow party system store], each: "flow", near: 1

        def about(flow)
          return [] unless ends(flow).all? { |one| one.kind == "store" }

          [finding(flow.id, "#{flow.name} goes from store to store by itself", "Stores do nothing; a process moves what they hold.")]
        end
      end
    end
  end
end
