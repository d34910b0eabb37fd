# frozen_string_literal: true

module Basalt
  module Drawing
    # How one kind of sheet draws a model. A family's notation inherits from this and says
    # what differs: what it draws (Contents), the symbols of things (Things), lines (Lines), where things stand (Places), and its looks
    # and its legend (Looks).
    class Notation
      PARTS = [Contents, Things, Lines, Places, Looks].freeze
      include(*PARTS)

      def name = raise(NotImplementedError)

      # @return [String] the stratum it belongs to
      def band = "Logical"

      # @return [Array<String>] kinds of things it draws
      def things = []

      # @return [Array<String>] kinds of relations it draws as lines
      def lines = []

      # @return [Array<String>] three statements to try on an empty sheet
      def examples = []

      # @return [Array<Array(String, String)>] words that can be placed, each with its letter
      def chips = []
    end
  end
end
