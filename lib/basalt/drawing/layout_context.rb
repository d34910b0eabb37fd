# frozen_string_literal: true

module Basalt
  module Drawing
    # A sheet on which things are being arranged: the draft, what stands where, and what is
    # drawn in what. Writes placements into the draft.
    class LayoutContext
      # @param draft [Change::Draft]
      # @param spatial_index [SpatialIndex, nil] of the sheet as it stood before the draft; kept in step
      def initialize(draft, sheet_id, spatial_index: nil)
        @draft = AsDrawn.of(draft, sheet_id)
        @sheet_id = sheet_id
        @notation = draft.sheets[sheet_id].notation
        @spatial_index = spatial_index
      end

      attr_reader :draft, :sheet_id, :notation

      def spatial_index = @spatial_index ||= SpatialIndex.new(draft.base, sheet_id)

      # Takes up all that stands there now.
      def survey = @spatial_index = SpatialIndex.new(draft, sheet_id)

      # Takes up all that stands there now into the spatial_index that was handed in: others go on with it.
      def renew
        ids = [draft.base, draft].flat_map { |set| set.placements_on(sheet_id).map(&:key) }
        spatial_index.renew(draft, ids)
      end

      def placement(key) = draft.placement(sheet_id, key)
      # Both look at the draft as it is when they are asked.
      def nesting = @nesting ||= Nesting.new(draft, sheet_id)
      def anchors = @anchors ||= Anchors.new(draft, sheet_id)

      # @param to [Hash] what of the placement becomes different
      # @param placed [Model::Placement, nil] where it stands, for whoever has looked
      def arrange(key, to, placed: placement(key))
        return stand_anew(key, to) unless placed

        Change::Arrange.put(draft, draft.is_a?(AsDrawn) ? draft.placements[placed.id] : placed, to)
      end

      # Stands something where the draft has it, when it was taken off the spatial_index.
      def stand(key) = spatial_index.add(draft, placement(key))

      # @param placed [Model::Placement]
      # @return [Boolean] whether it has to be put somewhere
      def waits?(placed)
        return false unless placed.box.nil? && placed.route.nil?

        element = draft.element(placed.key)
        !element.relation? && !element.description.figure&.outline?
      end

      # @return [Array<String>] keys of what was moved, altered or struck
      def touched_elements
        moved = draft.placements.differences.flat_map { |_, before, after| [before, after].compact }
          .select { |p| p.sheet_id == sheet_id }.map(&:key)
        (moved + draft.elements.differences.flat_map { |id, *| occurrences(id) } + touched_things.map(&:id)).uniq
      end

      # Things that were altered, or a part of them was.
      def touched_things
        altered = draft.elements.differences.flat_map { |_, before, after| [before, after].compact }
        ends = altered.select { |element| element.relation? && notation.told_at_ends?(element) }.flat_map(&:targets)
        (altered.map { |element| element.owner_id || element.id } + ends).uniq.flat_map { |id| occurrences(id) }
          .filter_map { |key| draft.element(key) }.reject(&:relation?)
      end

      private

      def stand_anew(key, to)
        draft.put(
          :placements,
          Model::Placement.new(id: draft.new_id, sheet_id:, element_id: key, ordinal: draft.next_ordinal(:placements), **to)
        )
      end

      def occurrences(id) = [id, *draft.further(sheet_id, id).map(&:key)]
    end
  end
end
