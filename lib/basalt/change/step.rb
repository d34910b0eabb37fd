# frozen_string_literal: true

module Basalt
  module Change
    # One difference that is offered and can be taken or left. +act+ is +:add+, +:alter+, +:drop+ or
    # +:keep+ (told, and nothing is done); +key+ names it, +words+ tell it and +why+ gives the reason.
    Step = Value.of(:act, :key, :words, :change, :why) do
      def apply(draft) = change&.call(draft)
    end
  end
end
