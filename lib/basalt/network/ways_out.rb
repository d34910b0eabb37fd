# frozen_string_literal: true

module Basalt
  module Network
    # The ways from things to the outside, as a directed graph: all outsides are one place,
    # traffic is carried on by forwarding roles and subnets, and ends at everything else.
    class WaysOut
      OUTSIDE = :outside
      LINES = %w[attachment link].freeze
      private_constant :LINES

      # Everything that hangs together with these without passing through the outside, other than from where it begins: what
      # happens there alters the ways of nothing else.
      #
      # @param ids [Enumerable<String>] of things and lines, or of anything
      # @return [Set<String>] ids of elements, these among them
      def self.joined(set, ids)
        found = Set.new
        waiting = ids.flat_map { |id| [id, *set.elements.ids_by(:target, id)] }
        while (id = waiting.pop)
          next unless found.add?(id)

          element = set.element(id)
          waiting.concat(set.elements.ids_by(:target, id)) unless element.nil? || element.kind == "outside"
          waiting.concat(element.targets) if element && LINES.include?(element.kind)
        end
        found
      end

      # @param lines [Array<Model::Element>] links and attachments; all of the set where none are given
      def initialize(set, lines = set.of_kind(*LINES))
        @set = set
        @next = Hash.new { |hash, node| hash[node] = [] }
        lines.each { |line| line.kind == "link" ? link(line) : join(line.target("thing"), line.target("subnet")) }
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

      def link(link)
        one, other = link.targets
        circuit?(link) ? join(one, link.id) && join(link.id, other) : join(one, other)
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
