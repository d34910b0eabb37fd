# frozen_string_literal: true

module Basalt
  module Statements
    # One sentence that can be said: its pattern and what it does. The block gets the
    # context and the captured values. +declares+ is the kind and facts it makes; +retract+ takes
    # back what the sentence said, all of it or what another sentence in its place does not say. Where lines stand in order, +ordered+
    # tells of the captures what the line says there; one that +opens+ something goes on until it is closed. Lines that only mean
    # something +together+, as the steps of one thing do, are taken back together from an edited reading (see Together).
    class Form
      def initialize(source, declares: nil, retract: nil, late: false, heads: nil, ordered: nil, opens: false, together: nil, &action)
        @ordered = ordered
        @together = together
        @opens = opens
        @late = late
        @heads = heads
        @source = source
        @declares = declares
        @retract = retract
        @action = action
      end

      # @return [Quality, nil] what the lines say of a block that it opens
      attr_reader :heads
      attr_reader :source, :declares, :retract, :ordered, :together, :action

      def opens? = @opens

      # @return [Boolean] whether in a text it is understood after all others, whatever its place
      def late? = @late

      def nodes = @nodes ||= Pattern.compile(source)

      # @return [Array] the nodes without the lists of qualities
      def stem = @stem ||= nodes.grep_v(Pattern::Qualities)

      # @return [Array<Pattern::Qualities>] these
      def tail = @tail ||= nodes.grep(Pattern::Qualities)

      # @param words [Array<String>] of a line
      # @return [Boolean] whether all the words are there without which it cannot have this form
      def possible?(words) = needed.all? { |alternatives| alternatives.any? { |word| words.include?(word) } }

      # @return [Array<String>] words that a line of this form may begin with; empty when it begins with a name
      def openings
        first = nodes.first
        first.is_a?(Pattern::Literal) ? first.words : []
      end

      # @return [Boolean] whether there are words without which a line has another form
      def words_of_its_own? = needed.any?

      # @return [Boolean] whether it begins with whatever can be spoken of
      def about_anything? = nodes.first.is_a?(Pattern::Slot) && nodes.first.slot == :anything

      # @return [Array<String>, nil] one of which every line of this form has; nil where there need be none
      def words_at_one_place = needed.first

      private

      def needed = @needed ||= nodes.grep(Pattern::Literal).map(&:words)
    end
  end
end
