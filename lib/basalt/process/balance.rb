# frozen_string_literal: true

module Basalt
  module Process
    # Whether the level beneath a process carries the same flows as the process itself: in and
    # out, by name, a part standing for the whole that it is a part of (DeMarco, 1978, chapter 4).
    class Balance
      # One flow that lacks: its direction (+:in+, +:out+), the other end and the name, and where it
      # lacks: +:below+ or +:above+.
      Lack = Value.of(:where, :direction, :other_id, :name)

      def initialize(set, process)
        @set = set
        @process = process
        @inside = Levels.tree(set, process.id).to_set(&:id)
        @children = Levels.children(set, process.id)
      end

      # @return [Array<Lack>] none where nothing is beneath the process
      def lacks
        return [] if @children.empty?

        outer.flat_map { |flow| missing_below(flow) } + inner.reject { |flow| carried?(flow) }.map { |flow| lack(:above, *flow) }
      end

      # @return [Array<Array(Symbol, String, String)>] direction, other end and name of what crosses the edge of the process
      def outer = @outer ||= crossing([@process.id])
      # @return [Array] the same of what is directly within it
      def inner = @inner ||= crossing(@children.map(&:id))

      private

      def lack(where, direction, other_id, name) = Lack.new(where:, direction:, other_id:, name:)

      def crossing(ids)
        ids
          .flat_map do |id|
            Flowing.into(@set, id).filter_map { |flow| edge(:in, flow.target("from"), flow.name) } +
              Flowing.out_of(@set, id).filter_map { |flow| edge(:out, flow.target("to"), flow.name) }
          end
          .uniq
      end

      def edge(direction, other_id, name)
        return if @inside.include?(other_id) || local?(other_id)

        [direction, Levels.seen_from(@set, other_id, @process.id), name]
      end

      # A store that only processes in here use belongs to the level.
      def local?(id)
        return false unless @set.element(id)&.kind == "store"

        @set
          .relations_of(id, "flow")
          .flat_map { |flow| flow.targets - [id] }
          .all? { |other| @inside.include?(other) && other != @process.id }
      end

      # The whole, or every part of it.
      def missing_below(flow)
        direction, other, name = flow
        return [] if inner.include?(flow)

        items = Composition.items(@set, name)
        if items.empty? || items.none? { |item| inner.include?([direction, other, item]) || Composition.items(@set, item).any? }
          return [lack(:below, direction, other, name)]
        end

        items.flat_map { |item| missing_below([direction, other, item]) }
      end

      def carried?(flow)
        direction, other, name = flow
        outer.any? do |way, end_id, whole|
          way == direction && end_id == other && (whole == name || Composition.parts(@set, whole).include?(name))
        end
      end
    end
  end
end
