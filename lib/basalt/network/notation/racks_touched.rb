# frozen_string_literal: true

module Basalt
  module Network
    module Notation
      # Which racks of a sheet are to be drawn otherwise after something was altered.
      class RacksTouched
        # @param set [Model::WorkingSet, Model::PinnedSet, Change::Draft] as it is now
        # @param was [RacksGeometry] of the sheet before
        # @param altered [Array<Change::Delta>] since then
        def initialize(set, sheet_id, was, altered)
          @set = set
          @sheet_id = sheet_id
          @faces = was.faces
          @altered = altered
        end

        # @return [Boolean] whether nothing came to the sheet or went from it, and what is in no rack is as it was
        def few? = @altered.all? { |delta| delta.table == :elements ? within?(delta) : aside?(delta) }

        # @return [Array<String>] ids
        def racks
          rows.flat_map { |row| [row.id, row.container_id] }.uniq.select { |id| @faces.key?(id) }
        end

        private

        def rows = @altered.select { |delta| delta.table == :elements }.flat_map { |delta| [delta.before, delta.after].compact }

        def within?(delta)
          [delta.before, delta.after].compact.all? { |row| row.kind != Cabling::Rules::KIND && (in_rack?(row) || elsewhere?(row)) } &&
            (!@faces.key?(delta.id) || delta.after&.[]("level") == "rack")
        end

        def in_rack?(row) = @faces.key?(row.id) || (row.kind == "device" && @faces.key?(row.container_id))
        def elsewhere?(row) = !@set.shown?(@sheet_id, row.id)

        def aside?(delta)
          return delta.id != @sheet_id if delta.table == :sheets
          return true unless delta.table == :placements

          rows = [delta.before, delta.after].compact
          rows.length == 2 || rows.none? { |row| row.sheet_id == @sheet_id }
        end
      end
    end
  end
end
