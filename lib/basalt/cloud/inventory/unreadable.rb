# frozen_string_literal: true

module Basalt
  module Cloud
    module Inventory
      # An inventory in which something is wrong.
      class Unreadable < Mistake
        # @param place [String] a JSON pointer
        # @param words [String] what is wrong there
        def initialize(place, words)
          @place = place
          super(place.empty? ? "The inventory cannot be read: #{words}" : "The inventory cannot be read: at #{place} #{words}")
        end

        attr_reader :place
      end
    end
  end
end
