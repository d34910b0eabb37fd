# frozen_string_literal: true

module Basalt
  module Cloud
    module Reach
      # What was worked out before, found by which objects it was worked out from, one within the other.
      class Known
        def initialize
          @found = {}.compare_by_identity
        end

        # @param keys [Array<Object>]
        # @yieldreturn [Object] what is kept from then on
        def fetch(*keys)
          *outer, last = keys
          table = outer.reduce(@found) { |inner, key| inner[key] ||= {}.compare_by_identity }
          table.fetch(last) { table[last] = yield }
        end
      end
    end
  end
end
