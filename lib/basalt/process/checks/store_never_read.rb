# frozen_string_literal: true

module Basalt
  module Process
    module Checks
      # A store that is never read.
      class StoreNeverRead < OneSided
        rule "store-never-read", :warning, reads: %w[store flow]
        looks_at "store",
                 lacks: :out,
                 words: "is never read",
                 why: "What nobody reads need not be kept, or somebody who reads it is missing."
      end
    end
  end
end
