# frozen_string_literal: true

module Basalt
  module Formats
    # The journal in a project document: each act with the rows before and after.
    module JournalRows
      COLUMNS = { "number" => DocumentRows::COUNT, "sheet_id" => DocumentRows::ID, "act" => DocumentRows::TEXT, "of_number" => DocumentRows::COUNT,
                  "state" => DocumentRows::TEXT, "said" => DocumentRows::TEXT, "said_by" => DocumentRows::TEXT, "at" => DocumentRows::TEXT, "deltas" => ->(value) { value.is_a?(Array) } }.freeze
      NEEDED = %w[number act state said said_by at deltas].freeze
      WORDS = { "act" => %w[act undo redo], "state" => %w[done undone dropped record] }.freeze

      module_function

      # @raise [ProjectDocument::Damaged]
      def check(rows)
        rows.each_with_index { |row, index| entry(row, "/journal/#{index}") }
        numbers = rows.map { |row| row["number"] }
        raise DocumentRows.damaged("/journal", "two acts have one number") if numbers.uniq.length < numbers.length
      end

      def entry(row, place)
        missing = NEEDED.find { |column| row[column].nil? }
        raise DocumentRows.damaged("#{place}/#{missing}", "it is missing") if missing

        row.each do |column, value|
          fine = COLUMNS.key?(column) && (value.nil? || COLUMNS[column].call(value)) && (WORDS[column].nil? || WORDS[column].include?(value))
          raise DocumentRows.damaged("#{place}/#{column}", "it is not what belongs here") unless fine
        end
        row["deltas"].each_with_index { |delta, index| delta(delta, "#{place}/deltas/#{index}") }
      end

      def delta(delta, place)
        table = delta.is_a?(Hash) && delta["table"].to_s.to_sym
        raise DocumentRows.damaged("#{place}/table", "there is no such table") unless DocumentRows::TABLES.include?(table)

        %w[before after].each { |side| DocumentRows.load_row(table, delta[side], "#{place}/#{side}") if delta[side] }
      end
    end
  end
end
