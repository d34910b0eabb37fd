# frozen_string_literal: true

module Basalt
  module Drawing
    # Keeps the drawing of a sheet in step with its model: everything shown has a place, and
    # every line a route and places for its labels. Writes into the draft, so that the
    # arrangement is part of the same act.
    class Arranger
      extend Delegation

      # How often a sheet is laid out again for words that lie on lines, at most; once where somebody waits.
      ROUNDS = 5

      delegate :draft, :sheet_id, :notation, :spatial_index, :placement, :nesting, :anchors, :arrange, :stand,
               :touched_elements, :touched_things,
               to: :@context, from: LayoutContext

      # @param draft [Change::Draft]
      # @param spatial_index [SpatialIndex, nil] of the sheet as it stood before the draft; kept in step
      def initialize(draft, sheet_id, spatial_index: nil)
        @context = LayoutContext.new(draft, sheet_id, spatial_index:)
        @edge_routing = EdgeRouting.new(@context)
        @placement_search = PlacementSearch.new(@context, @edge_routing)
        @fitting = Fitting.new(@context)
      end

      # On sheets of more than this words are not given lanes of their own.
      LANES = 1200
      private_constant :LANES

      # Lays the sheet, or a part of it, out afresh; what is pinned or not drawn stays as it is.
      #
      # @param only [Array<String>, nil] ids of the things to lay out; nil for all
      # @param quick [Boolean] try less than what takes longest
      # @param by_hand [Boolean] whether a person asked for it, and it stays as it is then
      def tidy(only: nil, quick: false, by_hand: false)
        return rule(whole: true) if notation.ruled?

        lay(only:, quick:, by_hand:)
        make_room(quick:, by_hand:) if only.nil? && notation.lanes? && draft.placed_count(sheet_id) <= LANES
        draft
      end

      # @param crowded [Array<String>] ids of lines whose words are to have room of their own
      def lay(only: nil, quick: false, by_hand: false, crowded: [])
        laid = only ? Part.new(draft, sheet_id, only).laid : LayoutStyle.tidy(notation, draft, sheet_id, quick:, crowded:)
        laid = laid.transform_values { |to| to[:x] ? to.merge(by_hand: true) : to } if by_hand
        laid.each do |element_id, to|
          placed = placement(element_id)
          arrange(element_id, to, placed:) unless placed&.pinned
        end
        clear_pins(laid)
        @context.survey
        lines = notation.lines_on(draft, sheet_id)
        lines = lines.select { |line| line.endpoints.any? { |id| laid.key?(id) } } if only
        unplaced.each { |placement| @placement_search.settle(placement) }
        lines.each { |line| @edge_routing.draw_through(line, laid.dig(line.id, :route, "points") || []) unless stands?(line, laid) }
        # Whose words have room of their own come first.
        lines
          .partition { |line| laid.dig(line.id, :route, "words") }
          .flatten(1)
          .each { |line| @edge_routing.finish(line, ends_kept?(line) ? laid.dig(line.id, :route) : nil) }
        @edge_routing.clear_labels(lines)
      end

      # @return [Array<String>] ids of the lines whose words lie on other lines
      def crowded = @edge_routing.crowded(notation.lines_on(draft, sheet_id))

      # Places what has no place, fits what has grown, and finds ways for lines without one; all
      # else stays as it is.
      def complete
        return rule(whole: true) if notation.ruled?

        @context.survey
        unplaced.sort_by(&:ordinal).each { |placement| @placement_search.settle(placement) }
        grown =
          draft
            .things_on(sheet_id)
            .select { |thing| outgrown?(thing) }
            .each { |thing| grow(placement(thing.id), *notation.size(draft, thing)) }
            .to_set(&:id)
        lines = notation.lines_on(draft, sheet_id)
        @edge_routing.reroute(lines.select { |line| placement(line.id)&.route.nil? || line.endpoints.any? { |id| grown.include?(id) } })
        draft
      end

      # Gives a line the way that somebody drew, and keeps it.
      #
      # @raise [Mistake] where lines go as the notation has it
      def keep(line_id, points)
        raise Mistake, "a line of #{notation.name} goes from row to row, and no other way" if notation.ruled?

        @edge_routing.keep(line_id, points)
      end

      # After changes in the draft: places what is new, routes what is new or was disturbed,
      # and leaves all else alone; a sheet that nobody arranged is laid out afresh where it would be clearly better.
      #
      # @param grow [Boolean, Symbol] whether to do the latter; +:at_once+ only where nobody would wait for it
      def follow(grow: true)
        return rule if notation.ruled?

        clear_touched
        hide_followers
        resize
        free_joined
        fresh.sort_by(&:ordinal).each { |placement| @placement_search.settle(placement) }
        NearestOccurrence.new(@context).attach
        @fitting.refit
        lines = disturbed.sort_by(&:ordinal)
        @edge_routing.reroute(lines)
        @edge_routing.clear_labels(lines)
        @context.renew if grow && Growth.new(draft, sheet_id).settle(at_once: grow == :at_once)
        draft
      end

      private

      def rule(whole: false)
        RuledSheet.new(@context, @placement_search).settle(whole:)
        draft
      end

      # Lays the sheet out once more, with room for the words that lay on other lines, as long as that helps.
      def make_room(**how)
        best = left = crowded
        given = []
        (how[:quick] ? 1 : ROUNDS).times do
          break if left.empty?

          given += left
          trial = Change::Draft.new(draft)
          left = Arranger.new(trial, sheet_id).tap { |arranger| arranger.lay(crowded: given, **how) }.crowded
          next unless left.length < best.length

          draft.merge(trial)
          best = left
        end
        @context.survey
      end

      # What nobody put anywhere and was joined to nothing leaves its place when it is joined: it goes near that.
      def free_joined
        draft.elements.differences.each do |_, before, after|
          next unless before.nil? && after&.relation? && notation.draws_line?(draft, after)

          after.endpoints.uniq.each { |id| free(id, after) }
        end
      end

      def free(id, line)
        placed = placement(id)
        unless placed&.box && !placed.by_hand && !placed.pinned && draft.base.placements[placed.id] && !nesting.boundary?(id) &&
               notation.fits?(draft.element(id))
          return
        end
        if draft
            .relations_of(id)
            .any? { |other| other.id != line.id && notation.draws_line?(draft, other) && draft.drawn_between?(sheet_id, other) }
          return
        end
        return if line.endpoints.all? { |other| other == id || placement(other)&.box.nil? }

        spatial_index.remove(id)
        arrange(id, { x: nil, y: nil, w: nil, h: nil })
      end

      # Things that a tidying did not lay out and that stand nowhere yet.
      def unplaced
        draft.placements_on(sheet_id).select { |placed| @context.waits?(placed) }
      end

      # Placements of things that have no place yet.
      def fresh
        draft
          .placements
          .differences
          .filter_map { |_, _, after| after }
          .select { |placed| placed.sheet_id == sheet_id && @context.waits?(placed) }
      end

      # What was laid out where something pinned stands has to find another place.
      def clear_pins(laid)
        @pinned = draft.placements_on(sheet_id).select(&:pinned)
        pinned = @pinned.select(&:box)
        return if pinned.empty?

        laid.each_key do |id|
          placed = placement(id)
          next if placed.box.nil? || placed.pinned || nesting.boundary?(id)
          next unless pinned.any? { |other| placed.box.grow(12).overlap?(other.box) && !nesting.ancestors(id).include?(other.key) }

          arrange(id, { x: nil, y: nil })
          displaced << id
        end
      end

      # @return [Boolean] whether a line goes as it was laid out, and was taken up so
      def stands?(line, laid) = laid.dig(line.id, :route, "points")&.equal?(placement(line.id)&.route&.fetch("points"))

      def ends_kept?(line)
        anchors.whole?(line) && (@pinned.empty? || line.endpoints.none? { |id| placement(id)&.pinned || displaced.include?(id) })
      end

      def displaced = @displaced ||= Set.new

      # What the draft moved, altered or struck no longer stands where the spatial_index has it.
      def clear_touched
        touched_elements.each do |id|
          spatial_index.remove(id)
          placed = placement(id)
          spatial_index.add(draft, placed) if placed && draft.element(id)
        end
      end

      # A thing whose words have become longer or shorter gets a symbol to fit.
      def resize
        touched_things.each do |thing|
          placed = placement(thing.id)
          grow(placed, *notation.size(draft, thing)) if placed && draft.base.placements[placed.id] && outgrown?(thing)
        end
      end

      def outgrown?(thing)
        placed = placement(thing.id)
        return false unless placed&.x && notation.fits?(thing) && !nesting.boundary?(thing.id)

        w, h = notation.size(draft, thing)
        placed.h != h || placed.w < w
      end

      def grow(placed, w, h)
        spatial_index.remove(placed.key)
        Change::Arrange.new(placement_id: placed.id, to: { w: [placed.w, w].max, h: }).apply(draft)
        stand(placed.key)
      end

      # Lines that are new, whose ends moved or changed, or through which something was put.
      def disturbed
        touched = touched_elements
        own = touched.filter_map { |id| draft.element(id) }
        things = own.reject(&:relation?).reject { |thing| still?(thing) }
        lines = own.select(&:relation?) + bundles
        lines += things.flat_map { |thing| draft.relations_of(thing.id) + crossed(thing) + lines_inside(thing) }
        lines.uniq(&:id).select { |line| notation.draws_line?(draft, line) && anchors.of(line).all? { |key| placement(key)&.box } }
      end

      # Whether a thing stands as it did, and nothing of it was altered but parts at which no line ends.
      def still?(thing)
        placed = placement(thing.id)
        return false unless placed && placed.equal?(draft.base.placements[placed.id])

        draft.elements.differences.none? { |id, *| id == placed.element_id } && !ends_within?(placed.element_id)
      end

      def ends_within?(id) =
        draft.parts_of(id).any? { |part| draft.elements.any_by?(:target, part.id) || ends_within?(part.id) }

      # The lines of bundles that a touched one is in, or was.
      def bundles
        return [] unless notation.bundles?

        altered = draft.elements.differences.flat_map { |_, before, after| [before, after].compact }
        lines = altered + touched_elements.filter_map { |id| draft.element(id) }
        lines.select { |one| one.relation? && notation.bundle_name(one) }.flat_map { |one| draft.bundled(one) }.uniq(&:id)
      end

      # What others stand for from now on has no way of its own.
      def hide_followers
        return unless notation.bundles?

        followers = (touched_elements.filter_map { |id| draft.element(id) }.select(&:relation?) + bundles).uniq(&:id)
        followers.select { |line| draft.follower?(line) }.each do |line|
          spatial_index.remove(line.id)
          arrange(line.id, { route: nil }) if placement(line.id)&.route
        end
      end

      # The lines that lead out of a boundary which was collapsed or opened.
      def lines_inside(thing)
        return [] unless notation.boundaries.include?(thing.kind)

        before = draft.base.placement(sheet_id, thing.id)
        return [] if Affected.closed?(before) == Affected.closed?(placement(thing.id)) && !Affected.closed?(before)

        nesting.inside(thing.id).flat_map { |id| draft.relations_of(id) }
      end

      def crossed(thing)
        placed = placement(thing.id)
        return [] unless placed&.x

        notation
          .obstacles(draft, thing, placed)
          .flat_map { |box| spatial_index.lines_through(box) }
          .grep(String)
          .filter_map { |id| draft.element(id) }
      end
    end
  end
end
