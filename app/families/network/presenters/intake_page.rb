# frozen_string_literal: true

module Web
  module Families
    module Network
      module Presenters
        # An inventory before it is taken: which column holds what, and what the first rows would become.
        class IntakePage
          # A field with the columns that it could be in: their places, headings and whether it is the chosen one.
          Choice =
            Basalt::Value.of(:field, :columns) do
              def id = "column-#{field.tr(" ", "-")}"
              def name = "column_#{field.tr(" ", "_")}"
            end
          # A row of the file: its line, the cells that are taken, and what it would become, or why not.
          Row = Basalt::Value.of(:line, :cells, :sentences, :reason)

          # @param table [Basalt::Formats::CSV]
          # @param mapping [Hash{String => Integer}] fields and their columns
          # @param subject [Basalt::Network::Inventory::Subject]
          def initialize(set, table, mapping, subject)
            @set = set
            @subject = subject
            @table = table
            @mapping = mapping
          end

          def rows = @table.rows.length
          def fields = @mapping.keys

          def subject = @subject.name

          # @return [Array<String>] what the rows could be about
          def subjects = Basalt::Network::Inventory::Subjects::ALL.map(&:name)

          # @return [Array<Choice>]
          def choices
            @subject.fields.map do |field|
              columns = @table.headings.each_with_index.map { |heading, index| [index, named(heading, index), @mapping[field] == index] }
              Choice.new(field:, columns:)
            end
          end

          # @return [Array<String>] names of the sheets that it could be shown on
          def sheets = @set.sheet_list.select { |sheet| sheet.notation_name == @subject.notation }.map(&:name)

          # @return [String, nil] why the first rows cannot be shown
          def refusal = preview.is_a?(String) ? preview : nil

          # @return [Array<Row>] the first ones
          def first_rows
            preview.map do |row, sentences, reason|
              Row.new(line: row.line, cells: @mapping.each_value.map { |column| row.cells[column] }, sentences:, reason:)
            end
          end

          private

          def named(heading, index) = heading.empty? ? "column #{index + 1}" : heading

          def preview
            @preview ||=
              Basalt::Network::Inventory::Intake.new(@table, @mapping, @subject).preview(Basalt::Change::Draft.new(@set), sheet_id: nil)
          rescue Basalt::Mistake => e
            @preview = e.message
          end
        end
      end
    end
  end
end
