# frozen_string_literal: true

module Basalt
  module Process
    module Checks
      # A flow that no process takes part in.
      class OutsiderToStore < FlowCheck
        rule "outsider-to-store", :warning, reads: %w[flow party system store], each: "flow", near: 1

        def about(flow)
          return [] unless ends(flow).map(&:kind).then { |kinds| kinds.include?("store") && (kinds & %w[party system]).any? }

          [
            finding(
              flow.id,
              "#{name(flow.target("from"))} and #{name(flow.target("to"))} meet without a process",
              "Nobody outside reaches a store but through a process that writes or reads it."
            )
          ]
        end
      end
    end
  end
end
