# frozen_string_literal: true

module Basalt
  module Process
    module Checks
      # A store that is never read.
      class StoreNeverRead < FlowCheck
        rule "store-never-read", :warning, reads: %w[store flow]

        def findings
          set.of_kind("store").select { |store| set.relations_of(store.id, "flow").any? && Flowing.out_of(set, store.id).empty? }.map do |store|
            finding(store.id, "#{store.name} is never read", "What nobody reads need not be kept, or somebody who reads it is missing.")
          end
        end
      end
    end
  end
end
