# frozen_string_literal: true

module Basalt
  module Model
    # The placements, which are found by the sheet and the key that they are known by there, too: nothing else is asked for as often,
    # and nothing is put as often without standing anywhere else in the indexes.
    class Occurrences < Table
      def initialize(indexes)
        super
        @on = Hash.new { |sheets, id| sheets[id] = {} }
      end

      # @return [Placement, nil] the last that was put, if there were two
      def at(sheet_id, key) = @on.fetch(sheet_id, nil)&.[](key)

      def put(row)
        known = self[row.id]
        if known&.found_as?(row)
          @rows[row.id] = row
        else
          forget(known) if known
          super
        end
        @on[row.sheet_id][row.key] = row
      end

      def delete(id)
        known = self[id]
        forget(known) if known
        super
      end

      private

      # Another may have come to its place already.
      def forget(row)
        known = @on[row.sheet_id]
        known.delete(row.key) if known[row.key]&.id == row.id
        @on.delete(row.sheet_id) if known.empty?
      end
    end
  end
end
