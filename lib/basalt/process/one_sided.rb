# frozen_string_literal: true

module Basalt
  module Process
    # What a check finds of things that flow goes to and never from, or the other way round.
    class OneSided < Checks::FlowCheck
      class << self
        # @param kind [String] of the things looked at
        # @param lacks [Symbol] +:in+ or +:out+: the side on which nothing flows
        # @param words [String] what is said of such a thing
        # @param why [String] why the trade minds
        def looks_at(kind, lacks:, words:, why:)
          @looked_at = { lacks:, words:, why: }.freeze
          @each = [kind].freeze
          @near = 1
          @wide = false
        end

        attr_reader :looked_at
      end

      def about(thing)
        lacks, words, why = self.class.looked_at.values_at(:lacks, :words, :why)
        drawn?(thing.id) && one_sided?(thing, lacks) ? [finding(thing.id, "#{thing.name} #{words}", why)] : []
      end

      private

      def one_sided?(thing, lacks)
        sides = { in: Flowing.into(set, thing.id), out: Flowing.out_of(set, thing.id) }
        sides[lacks].empty? && sides.values.any?(&:any?)
      end
    end
  end
end
