# frozen_string_literal: true

require "zip"

module Web
  module Families
    module Data
      module Presenters
        # Sample rows of the tables of a sheet.
        class RowsPage
          USUAL = 20
          # Rows of a table that are shown.
          SHOWN = 5
          Table = Basalt::Value.of(:name, :columns, :rows, :count)

          # @param rows [Basalt::Data::Physical::Samples::Rows]
          def initialize(rows, count)
            @rows = rows
            @count = count
          end

          attr_reader :count

          # @return [Array<String>] what is left out
          def told = @rows.told

          # @return [Array<Table>]
          def tables
            @rows.samples.map do |one|
              shown = one.rows.first(SHOWN).map { |row| row.map { |value| value.is_a?(Rational) ? value.to_f : value } }
              Table.new(name: one.table.name, columns: one.columns.map(&:name), rows: shown, count: one.rows.length)
            end
          end

          def sql = @rows.sql

          # @return [String] a file of CSV for each table
          def zip
            Zip::OutputStream.write_buffer do |archive|
              @rows.csv.each do |name, text|
                archive.put_next_entry(name)
                archive.write(text)
              end
            end.string
          end
        end
      end
    end
  end
end
