# frozen_string_literal: true

module Basalt
  module Drawing
    # A sheet that nobody arranged arranges itself while things are typed onto it: as long as
    # what stands there is clearly worse than the same laid out afresh, it is laid out afresh. What a person
    # put somewhere ends that; from then on only what is new looks for a place.
    class Growth
      # Of larger sheets the arrangement is left to people: it would take longer than they wait.
      MOST = 40
      # How many times worse it may be before things move.
      WORSE = 1.1
      # How much of the paper things cover where they stand close together.
      FULL = 0.16

      # @param draft [Change::Draft]
      def initialize(draft, sheet_id)
        @draft = draft
        @sheet_id = sheet_id
        @writing = draft.sheets[sheet_id].writing
      end

      # @return [Boolean] whether it was laid out afresh
      def settle
        return false unless grown? && free?

        standing = quality(@draft)
        return false if good?(standing)

        trial = Change::Draft.new(@draft)
        Arranger.new(trial, @sheet_id).tidy(quick: true)
        return false unless standing.cost > quality(trial).cost * WORSE

        @draft.absorb(trial)
        true
      end

      private

      # Something came to the sheet or went from it, or was joined in another way.
      def grown?
        came = @draft.placements.differences.any? { |_, before, after| (before.nil? || after.nil?) && (after || before).sheet_id == @sheet_id }
        came || @draft.elements.differences.any? { |_, before, after| [before, after].compact.any?(&:relation?) && before&.ends != after&.ends }
      end

      def free?
        things = @draft.things_on(@sheet_id)
        things.length.between?(2, MOST) && @draft.placements_on(@sheet_id).none? { |placement| placement.by_hand || placement.pinned || placement.kept? || Affected.closed?(placement) }
      end

      def quality(set)
        boxes = set.placements_on(@sheet_id).select(&:box).to_h { |placement| [placement.element_id, placement.box] }
        lines = @writing.lines_on(set, @sheet_id).filter_map { |line| set.placement(@sheet_id, line.id)&.route&.then { |route| [*line.poles.values_at(0, -1), route["points"]] } }
        Layout::Quality.new(boxes, lines)
      end

      # Without crossings and close together it is good enough.
      def good?(standing)
        things = @draft.placements_on(@sheet_id).filter_map(&:box).sum { |box| box.w * box.h }
        standing.crossings.zero? && things > standing.paper * FULL && standing.bends <= 1.5 * @writing.lines_on(@draft, @sheet_id).length
      end
    end
  end
end
