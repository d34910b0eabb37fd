# frozen_string_literal: true

module Basalt
  module Cloud
    module Reach
      # What parties cannot say to each other any more, or can say since, when rules become others.
      class Difference
        # +lost+ and +won+ are Traffic.
        One = Value.of(:from, :to, :lost, :won)

        # @param analysis [Analysis] as it is
        # @param landscape [Landscape] with the same interfaces
        def initialize(analysis, landscape)
          @before = analysis
          @after = Analysis.new(landscape, blocks: analysis.blocks)
        end

        # @return [Array<One>] of parties as they are now; what is said within a subnet counts where there is no other
        def all
          parties = @before.members.keys + @before.outside.keys
          pairs = parties.product(@before.members.keys).flat_map { |from, to| [[from, to], *([[to, from]] if from.outside?)] }
          pairs.filter_map { |from, to| between(from, to) }
        end

        private

        def between(from, to)
          before, after = said(@before.between(from, to)), said(@after.between(same(from), same(to)))
          One.new(from:, to:, lost: before - after, won: after - before) unless before == after
        end

        def said(passage) = passage.apart | passage.together
        def same(party) = (@same ||= (@after.members.keys + @after.outside.keys).to_h { |one| [one, one] }).fetch(party)
      end
    end
  end
end
