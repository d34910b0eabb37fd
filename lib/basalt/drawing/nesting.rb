# frozen_string_literal: true

module Basalt
  module Drawing
    # Which things are drawn inside which on a sheet: what contains others there is a
    # boundary around them, or, collapsed, a slab that stands for them.
    class Nesting
      # @param set [Model::WorkingSet, Change::Draft]
      def initialize(set, sheet_id)
        @set = set
        @sheet_id = sheet_id
        # A sheet that is being opened is not there before.
        @kinds = set.sheets[sheet_id]&.notation&.boundaries || []
      end

      # @return [Boolean] whether the notation draws boundaries at all
      def any? = !@kinds.empty?

      # @return [String, nil] id of the boundary that the element is drawn in
      def parent(id)
        return unless any?

        step = @set.element(id)
        while (step = step&.container_id && @set.element(step.container_id))
          return step.id if @kinds.include?(step.kind) && @set.shown?(@sheet_id, step.id)
        end
      end

      # @return [Array<String>] from the nearest outwards
      def ancestors(id)
        found = []
        while (id = parent(id))
          found << id
        end
        found
      end

      # @return [String, nil] the nearest of which something holds
      def ancestor(id)
        while (id = parent(id))
          return id if yield(id)
        end
      end

      # @return [Array<String>] ids of the things drawn directly inside
      def children(id)
        return [] unless any?

        @set.contents_within(id) { |inner| !@set.shown?(@sheet_id, inner.id) }.map(&:id).select { |one| @set.shown?(@sheet_id, one) }
      end

      # @return [Array<String>] everything inside, however deep
      def inside(id) = any? ? @set.contents_within(id).map(&:id).select { |one| @set.shown?(@sheet_id, one) } : []

      # @return [Boolean] whether it is drawn around what it contains
      def boundary?(id)
        any? && @kinds.include?(@set.element(id)&.kind) && !closed?(id) && children(id).any?
      end

      # @return [Boolean] whether anything on the sheet may stand for what it contains
      def collapsed? = any? && @set.placements.any_by?(:closed, @sheet_id)

      def closed?(id) = collapsed? && @set.placement(@sheet_id, id)&.closed? && children(id).any? ? true : false

      # @return [String] the element itself, or the outermost collapsed boundary it is in
      def stand_in(id)
        collapsed? ? ancestors(id).reverse.find { |outer| closed?(outer) } || id : id
      end

      def hidden?(id) = stand_in(id) != id
    end
  end
end
