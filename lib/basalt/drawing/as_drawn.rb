# frozen_string_literal: true

require "delegate"

module Basalt
  module Drawing
    # The model as one sheet draws it: every occurrence of an element is a thing of its own there, known by its key (see
    # Model::Placement#key), and a line joins what stands for its ends: the occurrence that it was put at, or the owner of
    # a part. Where the notation rules, everything stands where the geometry has it. Whatever lays out, routes and draws
    # asks this and meets neither occurrences nor parts.
    class AsDrawn < SimpleDelegator
      # @param set [Model::WorkingSet, Model::PinnedSet, Change::Draft]
      # @return [AsDrawn, Object] the set itself where the sheet draws it as it is
      def self.of(set, sheet_id)
        return set if set.is_a?(AsDrawn) || set.sheets[sheet_id].nil?

        needed?(set, sheet_id) || (set.respond_to?(:base) && needed?(set.base, sheet_id)) ? new(set, sheet_id) : set
      end

      def self.needed?(set, sheet_id)
        return true if set.is_a?(AsDrawn) || set.placements.any_by?(:again, sheet_id)

        notation = set.sheets[sheet_id]&.notation
        notation ? notation.ends_at_parts? || notation.ruled? || notation.bundles? || notation.gathers? : false
      end
      private_class_method :needed?

      def initialize(set, sheet_id)
        super(set)
        @set = set
        @sheet_id = sheet_id
        @notation = set.sheets[sheet_id].notation
      end

      # @return [String] of the sheet that draws it
      attr_reader :sheet_id

      # Things may stand elsewhere from now on.
      def renew = @geometry = @places = @ruled = nil

      # @return [Geometry] of the sheet as it is now, where the notation rules
      def geometry = @geometry ||= Geometry.of(@set, @sheet_id)

      # @return [Array<Model::Placement>] of what the geometry has no place for
      def left_over
        places = geometry.places
        @set.placements_on(@sheet_id).reject { |placed| places.key?(placed.key) }.map { |placed| ruled(placed) }
      end

      def placement(sheet_id, key)
        placed = @set.placement(sheet_id, key)
        placed && sheet_id == @sheet_id ? ruled(placed) : placed
      end

      def placements_on(sheet_id)
        found = @set.placements_on(sheet_id)
        @notation.ruled? && sheet_id == @sheet_id ? found.map { |placed| ruled(placed) } : found
      end

      # @return [AsDrawn] what the draft was tried over
      def base = @set.base.sheets[@sheet_id] ? AsDrawn.new(@set.base, @sheet_id) : @set.base

      # @param key [String] id of an element, or of a further occurrence
      def element(key)
        found = @set.element(key)
        return found&.relation? ? joined(found) : found if found

        further = occurrence(key)
        further && @set.element(further.element_id)&.with(id: key, container_id: nil)
      end

      def relations_of(key, *kinds)
        return @set.relations_of(key, *kinds) if whole?

        return gathered(key, *kinds) if @notation.gathers?

        id = element_id(key)
        ids = @notation.ends_at_parts? ? [id, *@set.parts_within(id).map(&:id)] : [id]
        ids
          .flat_map { |one| @set.relations_of(one, *kinds) }
          .uniq(&:id)
          .map { |relation| joined(relation) }
          .select { |relation| !@notation.lines.include?(relation.kind) || relation.targets.include?(key) }
          .sort_by(&:ordinal)
      end

      # @return [Array<String>] kinds of relations that are lines there
      def notation_lines = @notation.lines

      # What is asked for most; the delegator takes its time over what it has to look for.
      def elements = @set.elements
      def placements = @set.placements
      def sheets = @set.sheets
      def shown?(sheet_id, key) = @set.shown?(sheet_id, key)

      def parts_of(key) = @set.parts_of(element_id(key))
      def contents_of(key) = occurrence(key) ? [] : @set.contents_of(key)

      def things_on(sheet_id)
        return @set.things_on(sheet_id) unless sheet_id == @sheet_id

        placements_on(sheet_id).filter_map { |placed| element(placed.key) }.reject(&:relation?).sort_by(&:ordinal)
      end

      def relations_on(sheet_id)
        return @set.relations_on(sheet_id) unless sheet_id == @sheet_id

        placements_on(sheet_id)
          .flat_map { |placed| relations_of(placed.key) }
          .uniq(&:id)
          .select { |relation| drawn_between?(sheet_id, relation) }
          .sort_by(&:ordinal)
      end

      def shown_within?(sheet_id, key) = !occurrence(key) && @set.shown_within?(sheet_id, key)

      def drawn_between?(sheet_id, relation)
        relation.ends.all? { |one| shown?(sheet_id, one.target_id) || shown_within?(sheet_id, one.target_id) }
      end

      # Lines of a bundle are drawn as one, for which the first stands, until somebody opens it.
      #
      # @return [Array<Model::Element>] the line and those drawn with it, in order of making
      def bundle(line)
        return [line] if @notation.bundle_name(line).nil?

        all = bundled(line)
        all.any? { |one| @set.placement(@sheet_id, one.id)&.shape&.fetch("open", nil) } ? [line] : all
      end

      # @param line [Model::Element] that may be gone
      # @return [Array<Model::Element>] all lines of its bundle, whether it is opened or not
      def bundled(line)
        name = @notation.bundle_name(line) or return [line]
        ends = line.targets.sort
        # Where fewer end: what stands in the middle has very many.
        fewer = @notation.gathers? ? ends.first : ends.min_by { |id| @set.elements.at_most(:target, id) }
        @set
          .then { |set| @notation.gathers? ? self : set }
          .relations_of(fewer)
          .select { |other| other.kind == line.kind && @notation.bundle_name(other) == name && other.targets.sort == ends }
          .sort_by(&:ordinal)
      end

      # @return [Boolean] whether another line of its bundle stands for it
      def follower?(line) = !@notation.bundle_name(line).nil? && bundle(line).first&.id != line.id

      # @return [String] the element that a key is of
      def element_id(key) = occurrence(key)&.element_id || key

      private

      def ruled(placed)
        return placed unless @notation.ruled?

        @ruled ||= {}.compare_by_identity
        @ruled[placed] ||= stood(placed)
      end

      def stood(placed)
        @places ||= geometry.places
        place = @places[placed.key]
        return placed.with(**place) if place

        @set.element(placed.element_id)&.description&.figure ? placed : placed.with(x: nil, route: nil)
      end

      def occurrence(key)
        placed = @set.placements[key]
        placed if placed&.again? && placed.sheet_id == @sheet_id
      end

      # @return [Boolean] whether every line ends at what it joins, and nothing stands there twice
      def whole? = !@notation.ends_at_parts? && !@notation.gathers? && !@set.placements.any_by?(:again, @sheet_id)

      # What joins other things than those that the notation draws lines for is as it is.
      def gathered(key, *kinds)
        others = @set.relations_of(key, *kinds).reject { |relation| @notation.lines.include?(relation.kind) }
        lines = Gathering.of(@set, @sheet_id).lines_of(key).filter_map { |id| @set.element(id) }
        lines = lines.select { |line| kinds.include?(line.kind) } if kinds.any?
        (others + lines.map { |line| joined(line) }).sort_by(&:ordinal)
      end

      # What a line is drawn between is its first and its last end.
      def joined(relation)
        return relation if whole?

        at = @set.placement(@sheet_id, relation.id)&.attached || {}
        last = relation.ends.length - 1
        ends =
          relation.ends.each_with_index.map do |one, index|
            [0, last].include?(index) ? one.with(target_id: stand_in(one.target_id, at[one.role])) : one
          end
        ends == relation.ends ? relation : relation.with(ends:)
      end

      # @return [String] key of what stands for an element: an occurrence, or that of what it is a part of
      def stand_in(id, at)
        return at if at && occurrence(at)&.element_id == id
        return Gathering.of(@set, @sheet_id).stand_in(@set, id) || id if @notation.gathers?

        shown = id
        shown = @set.element(shown)&.owner_id until shown.nil? || shown?(@sheet_id, shown)
        shown || id
      end
    end
  end
end
