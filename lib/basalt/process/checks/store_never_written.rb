# frozen_string_literal: true

module Basalt
  module Process
    module Checks
      # A store that is never written.
      class StoreNeverWritten < OneSided
        rule "store-never-written", :warning, reads: %w[store flow]
        looks_at "store", lacks: :in, words: "is never written", why: "What is read has to get there: a process that writes it is missing."
      end
    end
  end
end
