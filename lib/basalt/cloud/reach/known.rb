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
        # @yieldreturn [Object] what is kept from then on, neither nil nor false
        def fetch(*keys)
          last = keys.pop
          table = @found
          keys.each { |key| table = (table[key] ||= {}.compare_by_identity) }
          table[last] ||= yield
        end
      end
    end
  end
end
