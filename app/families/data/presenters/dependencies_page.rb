# frozen_string_literal: true

module Web
  module Families
    module Data
      module Presenters
        # What determines what in a table, and what rows say to it.
        class DependenciesPage
          # @param rows [String, nil] as CSV
          def initialize(set, table, rows)
            @set = set
            @table = table
            @rows = rows
            @observed = rows && Basalt::Data::Logical::Observed.read(rows)
          end

          def table_id = @table.id
          def title = @table.name
          def rows = @rows || columns.join(",")
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
