# frozen_string_literal: true

require "csv"

module Basalt
  module Data
    module Logical
      # Rows that somebody has: which dependencies hold in them, and which they refute. That one holds in some rows is a suggestion and no
      # more; that one does not hold is certain. What is not filled in says nothing.
      class Observed
        # Two rows that are alike at the left of a dependency and not at its right.
        Refuted = Value.of(:dependency, :one, :other)
        MOST_ROWS = 5000
        MOST_LEFT = 2

        # @param text [String] CSV (RFC 4180) with a line of headings
        # @raise [Mistake] for what is no table
        def self.read(text)
          table = ::CSV.parse(text.to_s.strip, headers: true, liberal_parsing: true)
          headings = table.headers.compact.map(&:strip).reject(&:empty?)
          raise Mistake, "Give the names of the columns in the first line, and rows beneath" if headings.empty? || table.empty?
          raise Mistake, "There are at most #{MOST_ROWS} rows" if table.length > MOST_ROWS

          new(headings, table.map { |row| headings.map { |name| row[name] } })
        rescue ::CSV::MalformedCSVError => e
          raise Mistake, "This is no table: #{e.message}"
        end

        # @param columns [Array<String>]
        # @param rows [Array<Array>]
        def initialize(columns, rows)
          @columns = columns
          @rows = rows
        end

        attr_reader :columns

        # @return [Array<NormalForms::Dependency>] of at most two columns at the left, none of which is needed less; what is told apart in
        #   every row says nothing
        def holding
          (1..MOST_LEFT).each_with_object([]) do |size, found|
            @columns.combination(size) do |left|
              right = determined(left) - left - found.select { |one| one.left.subset?(left.to_set) }.flat_map { |one| one.right.to_a }
              found << NormalForms::Dependency.new(left: left.to_set, right: right.to_set) if right.any?
            end
          end
        end

        # @param dependency [NormalForms::Dependency]
        # @return [Refuted, nil]
        def refute(dependency)
          left, right = [dependency.left, dependency.right].map { |names| places(names) }
          return if left.include?(nil) || right.include?(nil)

          seen = {}
          @rows.each do |row|
            next if row.values_at(*left, *right).include?(nil)

            known = seen[row.values_at(*left)] ||= row
            next if known.values_at(*right) == row.values_at(*right)

            return Refuted.new(dependency:, one: shown(known, dependency), other: shown(row, dependency))
          end
          nil
        end

        private

        def places(names) = names.map { |name| @columns.index(name) }

        def shown(row, dependency)
          (dependency.left | dependency.right).to_h { |name| [name, row[@columns.index(name)]] }
        end

        # Where something occurs twice at least.
        def determined(left)
          groups = @rows.group_by { |row| row.values_at(*places(left)) }.reject { |values, _| values.include?(nil) }.values
          groups = groups.map { |rows| rows.transpose.map(&:compact) }
          @columns.each_index.select { |place| always?(groups.map { |columns| columns[place] }) }.map { |place| @columns[place] }
        end

        # @param groups [Array<Array>] what a column holds in rows that are alike at the left
        def always?(groups) = groups.any? { |values| values.length > 1 } && groups.all? { |values| values.uniq.length < 2 }
      end
    end
  end
end
