# frozen_string_literal: true

module Basalt
  module Process
    # The interface list of a context: what passes between the one in the middle and its
    # neighbours, and among these.
    class Interfaces
      HEADINGS = %w[from to what direction protocol owner state].freeze

      def initialize(set, sheet_id)
        @set = set
        @sheet = set.sheets[sheet_id]
        @flows = set.relations_on(sheet_id).select { |one| one.kind == "flow" }
      end

      # @return [Array<Array<String, nil>>] in the order of HEADINGS
      def rows
        @flows
          .map do |flow|
            from, to = flow.ends.map { |one| @set.element(one.target_id) }
            [
              from.name,
              to.name,
              flow.name,
              direction(flow),
              flow["protocol"],
              flow["owner"] || [from, to].filter_map { |one| (one.kind == "system" && one["owner"]) || nil }.first,
              flow["state"]
            ]
          end
          .sort_by { |row| [%w[in out beside].index(row[3]), row[0], row[1], row[2]] }
      end

      # @return [String]
      def csv = Formats::CSV.write([HEADINGS, *rows])

      private

      # As the one in the middle sees it.
      def direction(flow)
        middle = @sheet.subject_id
        return "in" if flow.target("to") == middle
        return "out" if flow.target("from") == middle

        "beside"
      end
    end
  end
end
