# frozen_string_literal: true

module Basalt
  module Drawing
    # Lines that join the same two things: on a sheet that folds them, the first stands for all.
    class Parallels
      def initialize(set, sheet)
        @set = AsDrawn.of(set, sheet.id)
        @sheet = sheet
        @nesting = Nesting.new(@set, sheet.id)
        @anchors = Anchors.new(@set, sheet.id)
      end

      # @return [Array<Model::Element>] the line and those beside it, in order of making
      def of(line)
        return [line] unless @sheet.folded?

        pair = ends(line)
        around = line.endpoints.flat_map { |id| [id, *inside(id)] }.uniq
        around
          .flat_map { |id| @set.relations_of(id) }
          .uniq(&:id)
          .select { |other| other.kind == line.kind && ends(other) == pair && @set.drawn_between?(@sheet.id, other) }
          .sort_by(&:ordinal)
      end

      # @return [Boolean] whether another line stands for this one
      def folded?(line) = @sheet.folded? && of(line).first.id != line.id

      private

      # What else a collapsed boundary stands for.
      def inside(id)
        outer = @nesting.stand_in(id)
        outer == id ? [] : @nesting.inside(outer)
      end

      def ends(line) = @anchors.of(line).sort
    end
  end
end
