# frozen_string_literal: true

module Basalt
  module Process
    # What flows by the rows of an activity table: across the edge of the process that it is about, and between the processes
    # that its rows are grouped into.
    class TableFlows
      # @param rows [Array<Model::Element>] activities in order
      # @param standing [SystemBoundary] who is outside
      # @param process [Model::Element] that the table is about
      def initialize(set, rows, standing, process)
        @set = set
        @rows = rows
        @standing = standing
        @process = process
      end

      # @return [Array<Array(String, String, String, Model::Element)>] from, to, name and row of what crosses the edge
      def crossing
        @rows
          .filter_map do |row|
            next unless row["gives"]

            who, to = row.target("who"), Acts.receiver(row)
            name = English::Phrases.bare(row["gives"])
            if outside?(who)
              [who, @process.id, name, row] unless to && outside?(to)
            elsif to && outside?(to)
              [@process.id, to, name, row]
            end
          end
          .uniq { |from, to, name, _| [from, to, name.downcase] }
      end

      # @return [Array<Array(String, String, String, Model::Element)>] the same between the processes that rows are grouped into
      def within =
        @rows
          .filter_map { |row| row["gives"] && passed(row) }
          .reject { |from, to, *| from == to || from.nil? || to.nil? }
          .uniq { |from, to, name, _| [from, to, name.downcase] }

      private

      def outside?(id) = @standing.of(@set.element(id))&.outside?

      # Whose row it is, and whose the next one is of who gets it.
      def passed(row)
        from = row.container_id || receiving(row)
        to = Acts.receiver(row)
        name = English::Phrases.bare(row["gives"])
        return row.target("who"), from, name, row if outside?(row.target("who"))
        return from, to, name, row if to && outside?(to)

        [from, to && following(row, to)&.container_id, name, row]
      end

      # What somebody outside gives goes to the process of who gets it.
      def receiving(row) = Acts.receiver(row) && following(row, Acts.receiver(row))&.container_id
      def following(row, who) = @rows.drop(@rows.index(row) + 1).find { |one| one.target("who") == who && one.container_id }
    end
  end
end
