# frozen_string_literal: true

module Basalt
  module Software
    module Features
      # A feature that cannot be read, with the letter at which it stops making sense.
      class Unreadable < Mistake
        # @param text [String] the feature
        # @param at [Integer] of the letter, counted from 0; the length of the text is its end
        # @param expected [String] what could stand there
        def initialize(text, at, expected)
          @at = at
          @expected = expected
          place = at < text.length ? "“#{Model::Names.short(text[at..], 12)}”, letter #{at + 1}" : "the end"
          super("there could stand #{expected} instead of #{place} of “#{Model::Names.short(text)}”")
        end

        attr_reader :at, :expected
      end
    end
  end
end
