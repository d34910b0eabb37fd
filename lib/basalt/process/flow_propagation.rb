# frozen_string_literal: true

module Basalt
  module Process
    # Flows as they pass through levels: what flows to a process flows to each that contains it,
    # up to the level on which both ends can be seen.
    class FlowPropagation
      def initialize(set)
        @set = set
        @flows = set.of_kind("flow")
      end

      # What flows from lowest to lowest: of two processes that are no neighbours no single flow tells,
      # one tells of the one end and another of the other.
      #
      # @return [Array<Array(String, String, String)>] from, to and name
      def base
        all = @flows.map { |flow| [flow.target("from"), flow.target("to"), flow.name] }.uniq
        all.group_by(&:last).values.flat_map { |alike| lowest(alike) }
      end

      # @return [Array<Array(String, String, String)>] a flow on every level that it passes
      def levels(flow)
        from, to, name = flow
        outer_from, outer_to = Levels.seen_from(@set, from, to), Levels.seen_from(@set, to, from)
        froms, tos = up(from, outer_from), up(to, outer_to)
        (froms.map { |one| [one, outer_to, name] } + tos.map { |one| [outer_from, one, name] }).uniq
      end

      private

      def lowest(alike)
        name = alike.first.last
        pairs = alike.map(&:first).uniq.product(alike.map { |one| one[1] }.uniq).map { |from, to| [from, to, name] }
        whole = pairs.select { |pair| (levels(pair) - alike).empty? }
        found = (whole | alike)
        found.reject do |one|
          found.any? { |other| other != one && beneath?(other, one) } ||
            (!whole.include?(one) && whole.any? { |other| levels(other).include?(one) })
        end
      end

      def beneath?(inner, outer) =
        [0, 1].all? { |index| inner[index] == outer[index] || Levels.within?(@set, inner[index], outer[index]) }

      def up(id, outer)
        chain = Levels.chain(@set, id)
        chain.empty? ? [id] : chain.take(chain.index(outer) + 1)
      end
    end
  end
end
