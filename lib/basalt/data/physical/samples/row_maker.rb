# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      module Samples
        # Makes the rows of one table, one after the other.
        class RowMaker
          # How values of a column are made.
          Way = Value.of(:made, :words, :checks, :required)

          # @param rows [Rows] those of other tables
          # @param columns [Array<Model::Element>] that get values
          def initialize(rows, set, table, columns, random)
            @rows = rows
            @set = set
            @table = table
            @columns = columns
            @random = random
            @told = []
            @checks = Tabling.checks(set, table.id).filter_map { |one| one["expression"] && Condition.new(one["expression"]) }
            @unique = unique
            @seen = @unique.map { Set.new }
            @values = columns.to_h { |column| [column.name, values(column)] }
          end

          # @return [Array<String>] what is left out
          attr_reader :told

          # @return [Hash{String => Object}, nil] nil where no row is found
          def row(index, tries)
            tries.times do |attempt|
              found = attempt(index, attempt)
              return keep(found) if found && holds?(found)
            end
            @told << "#{@table.name}: no more rows were found that its constraints let in"
            nil
          end

          private

          def unique
            said = Tabling.constraints(@set, @table.id).reject { |one| one["type"] == "index" }
            sets = said.map { |one| one.targets("column").map { |id| @set.element(id).name } }
            key = Tabling.key_columns(@set, @table.id).map(&:name)
            [*sets, *([key] if key.any?)].uniq
          end

          def values(column)
            beneath = @rows.resolved(column["type"])
            said = beneath.checks + @checks.select { |one| one.columns.include?(column.name) }
            made = Values.new(beneath.type, column.name, @random, said.flat_map(&:constants), said.flat_map(&:patterns))
            @told << "#{@table.name}.#{column.name}: values of #{column["type"]} are not known here" unless beneath.values || made.known?
            Way.new(made:, words: beneath.values, checks: beneath.checks, required: beneath.required)
          end

          def attempt(index, attempt)
            found = @columns.to_h { |column| [column.name, value(column, index, attempt)] }
            references.each { |one| return nil unless refer(found, one, index, attempt) }
            found
          end

          # Columns that may be empty are so now and then.
          def value(column, index, attempt)
            way = @values[column.name]
            return nil if !required?(column) && !way.required && empty_now?(column, index, attempt)
            return way.words[(index + attempt) % way.words.length] if way.words&.any?

            way.made.at(index, attempt)
          end

          # Each column at other rows; where no row was found for long, any.
          def empty_now?(column, index, attempt)
            return @random.rand(2).zero? if attempt > 8

            (index + attempt + (3 * @columns.index(column))) % 7 == 6
          end

          def required?(column) = column["required"] || column["key"]

          def references
            @references ||= Tabling.references(@set, @table.id).select { |one| one.targets("column").any? && one.targets("key").any? }
          end

          # @return [Boolean] whether there is something to refer to
          def refer(row, reference, index, attempt)
            names, keys = %w[column key].map { |role| reference.targets(role).map { |id| @set.element(id).name } }
            own = reference.target("to") == @table.id
            others = own ? [row] : @rows.of(reference.target("to")).to_a
            return leave(row, reference, names) if others.empty? || (own && empty?(reference))

            other = others[(attempt.zero? ? index : @random.rand(others.length)) % others.length]
            names.zip(keys) { |name, key| row[name] = other[key] }
            true
          end

          def empty?(reference) = reference.targets("column").none? { |id| required?(@set.element(id)) }

          def leave(row, reference, names)
            return names.each { |name| row[name] = nil } && true if empty?(reference)

            @told << "#{@table.name} refers to what has no rows yet"
            false
          end

          def holds?(row)
            @checks.all? { |one| one.holds?(row) } && domains?(row) && distinct?(row)
          end

          def domains?(row)
            row.all? { |name, value| value.nil? || @values[name].checks.all? { |one| one.holds?({ "value" => value }) } }
          end

          def distinct?(row)
            @unique.each_with_index.none? { |names, index|
              names.all? { |name|
                !row[name].nil?
              } && @seen[index].include?(row.values_at(*names))
            }
          end

          def keep(row)
            @unique.each_with_index { |names, index| @seen[index] << row.values_at(*names) }
            row
          end
        end
      end
    end
  end
end
