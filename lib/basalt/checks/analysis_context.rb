# frozen_string_literal: true

module Basalt
  module Checks
    # A set under examination, with what several checks need worked out once.
    class AnalysisContext
      def initialize(set)
        @set = set
        @worked_out = {}
      end

      attr_reader :set

      # @param kinds [Array<String>]
      # @return [Array<Model::Element>] of these kinds, in order of making; several checks ask for the same
      def of_kind(kinds) = (@of_kind ||= {})[kinds] ||= set.of_kind(*kinds).freeze

      # @param calculation [Class] made from the set
      def [](calculation)
        @worked_out[calculation] ||= calculation.new(set)
      end
    end
  end
end
