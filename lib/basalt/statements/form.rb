# frozen_string_literal: true

module Basalt
  module Statements
    # One sentence that can be said: its pattern and what it does. The block gets the
    # context and the captured values. +declares+ is the kind and facts it makes; +retract+ takes
    # back what the sentence said, all of it or what another sentence in its place does not say.
    class Form
      def initialize(source, declares: nil, retract: nil, late: false, heads: nil, &action)
        @late = late
        @heads = heads
        @source = source
        @declares = declares
        @retract = retract
        @action = action
      end

      # @return [Quality, nil] what the lines say of a block that it opens
      attr_reader :heads
      attr_reader :source, :declares, :retract, :action

      # @return [Boolean] whether in a text it is understood after all others, whatever its place
      def late? = @late

      def nodes = @nodes ||= Pattern.compile(source)

      # @param words [Set<String>] of a line
      # @return [Boolean] whether all the words are there without which it cannot have this form
      def possible?(words) = needed.all? { |alternatives| alternatives.any? { |word| words.include?(word) } }

      # @return [Array<String>] words that a line of this form may begin with; empty when it begins with a name
      def openings
        first = nodes.first
        first.is_a?(Pattern::Literal) ? first.words : []
      end

      private

      def needed = @needed ||= nodes.grep(Pattern::Literal).map(&:words)
    end
  end
end
