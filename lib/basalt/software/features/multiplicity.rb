# frozen_string_literal: true

module Basalt
  module Software
    module Features
      # How many (UML 2.5.1, 7.5.4): +0..1+, +1..*+, +*+, +5+. +high+ is nil where there is no upper bound.
      Multiplicity =
        Value.of(:low, :high) do
          self::WORD = /\A\s*(?:(\d{1,9})\s*\.\.\s*(\d{1,9}|\*)|(\d{1,9}|\*))\s*\z/

          # @param text [String]
          # @return [Multiplicity, nil] nil where it is none
          def self.of(text)
            low, high, alone = text.match(self::WORD)&.captures
            return if low.nil? && alone.nil?
            return restore(alone == "*" ? [0, nil] : [alone.to_i, alone.to_i]) if alone

            found = restore([low.to_i, high == "*" ? nil : high.to_i])
            found unless found.high && found.high < found.low
          end

          def many? = high.nil? || high > 1

          def to_s
            low == high ? low.to_s : "#{low}..#{high || "*"}"
          end
        end
    end
  end
end
