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

      # A line is there when it and both its ends are.
      #
      # @return [Boolean] whether one of them is yet to come
      def self.planned?(set, lines) = lines.any? { |line| line["planned"] || line.targets.any? { |id| set.element(id)&.[]("planned") } }

      # @param lines [Array<Model::Element>] links and attachments; all of the set where none are given
      # @param planned [Boolean] whether what is planned counts as there
      def initialize(set, lines = set.of_kind(*LINES), planned: true)
        @set = set
        @next, @beside = Array.new(2) { Hash.new { |hash, node| hash[node] = [] } }
        lines = lines.reject { |line| WaysOut.planned?(set, [line]) } unless planned
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

      # @return [Array<Array<String>>] ids of the things that hang together and have no way to the outside at all; none where there
      #   is no outside
      def islands
        return [] unless @next.key?(OUTSIDE)

        reached = reached_from([OUTSIDE])
        seen = Set.new
        @beside.keys.reject { |node| reached.include?(node) || node == OUTSIDE }.filter_map do |node|
          next if seen.include?(node)

          island = together(node, reached)
          seen.merge(island)
          island.select { |id| thing?(id) }
        end
      end

      private

      attr_reader :set

      def reached_from(waiting)
        found = Set.new
        while (node = waiting.pop)
          waiting.concat(@next.fetch(node, [])) if found.add?(node)
        end
        found
      end

      # What hangs together, whichever way traffic goes.
      def together(start, reached)
        found = Set.new
        waiting = [start]
        while (node = waiting.pop)
          next if reached.include?(node) || node == OUTSIDE

          waiting.concat(@beside[node]) if found.add?(node)
        end
        found
      end

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
        @beside[from] << to
        @beside[to] << from
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

      # A panel loses nothing itself.
      def thing?(node)
        element = node != OUTSIDE && set.element(node) or return false
        element.kind == "place" || (element.kind == "device" && element["role"] != "patch panel")
      end

      # Of a stack one member is lost, and the others go on.
      def culprit?(node)
        return false if node == OUTSIDE

        element = set.element(node)
        element.kind == "link" || (forwarding?(element) && Cabling::Ports.of(set, element).told_members < 2)
      end
    end
  end
end
