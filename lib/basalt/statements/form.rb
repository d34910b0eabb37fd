# frozen_string_literal: true

module Basalt
  module Statements
    # One sentence that can be said: its pattern and what it does. The block gets the
    # context and the captured values. +declares+ is the kind and facts it makes.
    class Form
      def initialize(source, declares: nil, &action)
        @source = source
        @declares = declares
        @action = action
      end

      attr_reader :source, :declares, :action

      def nodes = @nodes ||= Pattern.compile(source)

      # @return [Array<String>] words that a line of this form may begin with; empty when it begins with a name
      def openings
        first = nodes.first
        first.is_a?(Pattern::Literal) ? first.words : []
      end
    end
  end
end
