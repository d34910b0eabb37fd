# frozen_string_literal: true

module Basalt
  module Network
    # The ways from things to the outside, as a directed graph: all outsides are one place,
    # traffic is carried on by forwarding roles and subnets, and ends at everything else.
    class WaysOut
      OUTSIDE = :outside

      def initialize(set)
        @set = set
        @next = Hash.new { |hash, node| hash[node] = [] }
        build
      end

      # @return [Hash{String => Array<String>}] ids of forwarding things and circuits, each with the
      #   ids of the things that lose the outside without it
      def single
        return {} unless @next.key?(OUTSIDE)

        dominators = Graphs::Dominators.of(OUTSIDE, @next)
        dominators.keys.each_with_object(Hash.new { |hash, id| hash[id] = [] }) do |node, cut|
          next unless thing?(node)

          Graphs::Dominators.chain(dominators, node).each { |culprit| cut[culprit] << node if culprit?(culprit) }
        end
      end

      private

      attr_reader :set

      def build
        set.of_kind("attachment").each { |a| join(a.target("thing"), a.target("subnet")) }
        set.of_kind("link").each do |link|
          one, other = link.targets
          circuit?(link) ? join(one, link.id) && join(link.id, other) : join(one, other)
        end
      end

      # A line that a carrier provides: a circuit, or any link to the outside.
      def circuit?(link)
        link["circuit"] || link.targets.any? { |id| set.element(id)&.kind == "outside" }
      end

      def join(one, other)
        from = node(one)
        to = node(other)
        @next[from] << to if carries?(from)
        @next[to] << from if carries?(to)
        true
      end

      def node(id) = set.element(id)&.kind == "outside" ? OUTSIDE : id

      def carries?(node)
        return true if node == OUTSIDE

        element = set.element(node) or return false
        %w[subnet link].include?(element.kind) || forwarding?(element)
      end

      def forwarding?(element) = element.kind == "device" && Kinds::FORWARDING.include?(element["role"])
      def thing?(node) = node != OUTSIDE && %w[device place].include?(set.element(node)&.kind)
      def culprit?(node) = node != OUTSIDE && (set.element(node).kind == "link" || forwarding?(set.element(node)))
    end
  end
end
