# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # Whole numbers, separated by commas.
      class NumbersSlot
        def stops?(_token) = false

        def candidates(matcher, _node, _rest, at)
          numbers = []
          while (token = matcher.token(at))&.word? && token.text.match?(/\A\d{1,6}\z/)
            numbers << token.text.to_i
            at += 1
            break unless matcher.token(at)&.mark? && matcher.token(at).text == "," && matcher.token(at + 1)&.word?

            at += 1
          end
          numbers.empty? ? matcher.expect(at, "numbers such as 50, 60") : yield(numbers, at)
        end

        def write(numbers) = numbers.join(", ")
      end
    end
  end
end
