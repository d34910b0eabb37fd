# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # Labels and names in the order in which people count: 1/2 before 1/10.
      module NaturalOrder
        module_function

        # @param text [String, nil] nil comes last
        # @return [Array] to be compared
        def key(text)
          return [1] if text.nil?

          [0, *text.scan(/\d+|\D+/).map { |piece| piece.match?(/\A\d/) ? [0, piece.to_i, piece] : [1, 0, piece.downcase] }]
        end
      end
    end
  end
end
