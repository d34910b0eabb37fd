# frozen_string_literal: true

module Basalt
  module Drawing
    # A sheet whose notation rules where everything stands: nothing of it is settled or routed. What the geometry has no
    # place for, such as captions, is arranged as elsewhere.
    class RuledSheet
      # @return [Array<String>] keys of what stands elsewhere, or came or went, in a draft
      def self.moved(draft, sheet_id)
        return [] if Geometry.of(draft.base, sheet_id).equal?(Geometry.of(draft, sheet_id))

        before, after = [draft.base, draft].map { |set| places(set, sheet_id) }
        was, now = [draft.base, draft].map { |set| Geometry.of(set, sheet_id)&.looks || {} }
        gone = before.keys.reject { |key| after.key?(key) }
        gone + after.keys.reject { |key| before[key] == after[key] && was[key] == now[key] }
      end

      # @return [Hash{String => Hash}] (see Geometry#places)
      def self.places(set, sheet_id)
        Geometry.of(set, sheet_id)&.places || {}
      end

      # @param context [LayoutContext]
      # @param placement_search [PlacementSearch]
      def initialize(context, placement_search)
        @context = context
        @draft = context.draft
        @placement_search = placement_search
      end

      # @param whole [Boolean] whether to look at all that has a place, and not only at what an act moved
      def settle(whole: false)
        sheet_id = @context.sheet_id
        @draft.renew
        places = @draft.geometry.places
        touched = @context.touched_elements | (whole ? places.keys | placed : RuledSheet.moved(@draft, sheet_id))
        shown = touched.select { |key| places.key?(key) && !@draft.shown?(sheet_id, key) }
        shown.each { |key| Change::Show.new(sheet_id:, element_id: key).apply(@draft) }
        homeless = touched.select { |key| !places.key?(key) && homeless?(key) }
        homeless.each { |key| Change::TakeOff.new(sheet_id:, element_id: key).apply(@draft) }
        @draft.renew if shown.any? || homeless.any?
        @context.spatial_index.renew(@draft, touched)
        @draft.left_over.select { |placed| @context.waits?(placed) }.sort_by(&:ordinal).each { |placed| @placement_search.settle(placed) }
      end

      private

      def placed = @draft.placements_on(@context.sheet_id).map(&:key)

      # What the geometry has no place for is not on the sheet, such as a thing on a plan that went into a rack.
      def homeless?(key)
        element = @draft.element(key)
        element && !element.relation? && element.description.figure.nil? && @draft.shown?(@context.sheet_id, key)
      end
    end
  end
end
