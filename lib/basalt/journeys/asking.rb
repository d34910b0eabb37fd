# frozen_string_literal: true

module Basalt
  module Journeys
    # By which facts a store can be asked. A way of asking answers who gives its facts, or the first of them: who knows the site finds the
    # readings of all its days where these are kept by site and day.
    class Asking
      AND = /\s+and\s+|\s*,\s*/

      # @param text [String, nil] such as +site and day+
      # @return [Array<String>] in order
      def self.facts(text) = text.to_s.strip.split(AND).map { |fact| fact.strip.downcase }.reject(&:empty?)

      # @param set [Model::WorkingSet, Change::Draft]
      def initialize(set, store_id)
        @ways = Declared.of(set, Kinds::ASKING, "store", store_id).map { |one| Asking.facts(one["by"]) }
      end

      # @return [Array<Array<String>>]
      attr_reader :ways

      # @param facts [Array<String>] that somebody asks by; none asks for all there is
      def answers?(facts) = facts.empty? || ways.any? { |way| way.first(facts.length).sort == facts.sort }
    end
  end
end
