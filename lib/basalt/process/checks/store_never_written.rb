# frozen_string_literal: true

module Basalt
  module Process
    module Checks
      # A store that is never written.
      class StoreNeverWritten < FlowCheck
        rule "store-never-written", :warning, reads: %w[store flow]

        def findings
          set.of_kind("store").select { |store| set.relations_of(store.id, "flow").any? && Flowing.into(set, store.id).empty? }.map do |store|
            finding(store.id, "#{store.name} is never written", "What is read has to get there: a process that writes it is missing.")
          end
        end
      end
    end
  end
end
