# frozen_string_literal: true

module Web
  module Families
    module Data
      module Presenters
        # What determines what in a table, and what rows say to it.
        class DependenciesPage
          OBSERVED = Basalt::Data::Logical::Observed
          EMPTY = 4
          private_constant :OBSERVED, :EMPTY

          # @param rows [String, nil] as CSV
          # @param cells [Array<String>] typed, one row after the other
          def initialize(set, table, rows, cells: [])
            @set = set
            @table = table
            @rows = rows
            @observed = rows ? OBSERVED.read(rows) : typed(cells)
          end

          def table_id = @table.id
          def title = @table.name
          def rows = @rows || columns.join(",")

          # @return [Array<Array<nil>>] empty rows that can be filled in
          def grid = Array.new(EMPTY) { Array.new(columns.length) }
          def columns = @columns ||= Basalt::Data::Tabling.columns(@set, @table.id).map(&:name)
          def looked? = !@observed.nil?

          # @return [Array<String>] in words
          def said = stated.map(&:to_s)

          # @return [String] the highest normal form
          def highest = Basalt::Data::Determining.forms(@set, @table).highest

          # @return [Array<Array(String, String, String)>] what is refuted, with the two rows
          def refuted
            found = @observed ? stated.filter_map { |one| @observed.refute(one) } : []
            found.map { |one| [one.dependency.to_s, told(one.one), told(one.other)] }
          end

          # @return [Array<Basalt::Data::Logical::NormalForms::Dependency>] what the rows suggest and nobody said
          def suggested
            return [] unless @observed

            forms = Basalt::Data::Determining.forms(@set, @table)
            @observed.holding.map { |one| one.with(right: one.right & (columns - forms.closure(one.left).to_a)) }
              .select { |one| one.right.any? && one.left.subset?(columns.to_set) }
          end

          private

          # Rows without anything in them are none.
          def typed(cells)
            rows = cells.map { |cell| cell.strip.then { |text| text unless text.empty? } }.each_slice(columns.length).select(&:any?)
            OBSERVED.new(columns, rows.first(OBSERVED::MOST_ROWS)) if rows.length > 1 && rows.last.length == columns.length
          end

          def told(row) = row.map { |name, value| "#{name} #{value}" }.join(", ")

          def stated
            @stated ||= Basalt::Data::Determining.of(@set, @table.id).map do |one|
              sides = %w[left right].map { |role| Basalt::Data::Determining.names(@set, one.targets(role)).to_set }
              Basalt::Data::Logical::NormalForms::Dependency.new(left: sides.first, right: sides.last)
            end
          end
        end
      end
    end
  end
end
