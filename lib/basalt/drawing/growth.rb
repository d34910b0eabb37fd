# frozen_string_literal: true

module Basalt
  module Drawing
    # A sheet that nobody arranged arranges itself while things are typed onto it: as long as
    # what stands there is clearly worse than the same laid out afresh, it is laid out afresh. What a person
    # put somewhere ends that; from then on only what is new looks for a place.
    class Growth
      # Of larger sheets the arrangement is left to people: it would take longer than they wait.
      MOST = 240
      # Up to this many things and lines it is done within the act; of more somebody would wait for it.
      AT_ONCE = 30
      # Up to this many things and lines every act is looked at; of larger sheets those that bring it on by a tenth.
      ALWAYS = 130
      PORTION = 1.1
      # How many times worse in any respect it may be before things move; and beyond that, so that a
      # small sheet does not move for a single crossing or bend.
      WORSE = 1.15
      SLACK = { crossings: 0, bends: 2, paper: 0, area: 0 }.freeze
      # How much of the paper things cover where they stand close together.
      FULL = 0.25

      # @param draft [Change::Draft]
      def initialize(draft, sheet_id)
        @draft = AsDrawn.of(draft, sheet_id)
        @sheet_id = sheet_id
        @notation = draft.sheets[sheet_id].notation
      end

      # @param at_once [Boolean] only where nobody waits for it
      # @return [Boolean] whether it was laid out afresh
      def settle(at_once: false)
        return false unless grown? && due? && small? && free?

        !(at_once && placed_in(@draft) > AT_ONCE) && improve
      end

      # @return [Boolean] whether what the draft did is a reason to look afterwards whether it would be better laid out afresh
      def later? = placed_in(@draft) > AT_ONCE && grown? && due? && small? && free?

      # Lays out afresh what has grown, if it is better then.
      #
      # @return [Boolean] whether it was laid out afresh
      def catch_up = small? && free? && improve

      private

      def improve
        standing = quality(@draft)
        mingled = mingled?(@draft)
        return false unless mingled || !good?(standing)

        trial = Change::Draft.new(@draft)
        Arranger.new(trial, @sheet_id).tidy(quick: true)
        return false unless worse?(standing, quality(trial)) || (mingled && !mingled?(trial))

        @draft.merge(trial)
        true
      end

      # Something came to the sheet or went from it, or was joined in another way.
      def grown?
        came =
          @draft.placements.differences.any? { |_, before, after| (before.nil? || after.nil?) && (after || before).sheet_id == @sheet_id }
        came ||
          @draft.elements.differences.any? { |_, before, after| [before, after].compact.any?(&:relation?) && before&.ends != after&.ends }
      end

      # No further than it matters.
      def small?
        placed_in(@draft).between?(2, MOST * 3) &&
          @draft.placed_on(@sheet_id).reject(&:relation?).first(MOST + 1).length.between?(2, MOST)
      end

      # Where the notation has a place for everything, or somebody put something somewhere, that is how it stands.
      def free? =
        !@notation.ruled? &&
          placements.none? { |placement| placement.by_hand || placement.pinned || placement.kept? || Affected.closed?(placement) }

      def due? = placed_in(@draft) <= ALWAYS || portions(@draft) != portions(@draft.base)
      def portions(set) = Math.log([placed_in(set), 1].max, PORTION).floor

      def placed_in(set) = set.placed_count(@sheet_id)
      def placements = @placements ||= @draft.placements_on(@sheet_id)

      def quality(set)
        boxes = set.placements_on(@sheet_id).select(&:box).to_h { |placement| [placement.key, placement.box] }
        lines =
          @notation
            .lines_on(set, @sheet_id)
            .filter_map do |line|
              set.placement(@sheet_id, line.id)&.route&.then { |route| [*line.endpoints.values_at(0, -1), route["points"]] }
            end
        Layout::Quality.new(boxes, lines)
      end

      def mingled?(set) = SheetStatistics.new(set, @sheet_id).mingled?

      # Without crossings and close together it is good enough.
      def good?(standing)
        things = placements.filter_map(&:box).sum { |box| box.w * box.h }
        standing.crossings.zero? && things > standing.paper * FULL && standing.bends <= 1.5 * @notation.lines_on(@draft, @sheet_id).length
      end

      def worse?(standing, trial)
        SLACK.any? { |respect, slack| standing.public_send(respect) > (trial.public_send(respect) * WORSE) + slack }
      end
    end
  end
end
