# frozen_string_literal: true

require "csv"

module Basalt
  module Data
    # What each word of a data model means: entities and tables with their attributes and columns.
    class Dictionary
      HEADINGS = ["kind", "name", "of", "type", "meaning", "also called", "source"].freeze
      # One word; +source+ is what it was derived from.
      Entry =
        Value.of(:id, :kind, :name, :of, :type, :meaning, :synonyms, :source) do
          def cells = [kind, name, of, type, meaning, synonyms, source].map(&:to_s)
        end

      # @param set [Model::WorkingSet, Change::Draft]
      def initialize(set)
        @set = set
      end

      # @return [Array<Entry>] owners in alphabetical order, each before what belongs to it
      def entries
        @entries ||=
          (sorted("entity", "meeting") + sorted("relationship") + sorted("table")).flat_map do |element|
            [entry(element), *parts(element)]
          end
      end

      # @return [String]
      def csv = ::CSV.generate { |table| [HEADINGS, *entries.map(&:cells)].each { |row| table << row.map { |cell| harmless(cell) } } }

      # @return [String] a table of GitHub-flavoured Markdown
      def markdown
        rows = [HEADINGS, HEADINGS.map { "---" }, *entries.map(&:cells)]
        rows
          .map do |row|
            "| #{row.map { |cell| cell.gsub('\\') { '\\\\' }.gsub("|", "\\|").gsub("<", "&lt;").tr("\n", " ") }.join(" | ")} |\n"
          end
          .join
      end

      private

      def sorted(*kinds) = @set.of_kind(*kinds).sort_by { |element| [element.name.to_s.downcase, element.ordinal] }

      # A spreadsheet would take it for a formula.
      def harmless(cell) = cell.match?(/\A[=+\-@\t]/) ? "'#{cell}" : cell

      def parts(element, of = element.name)
        list = element.kind == "table" ? Tabling.columns(@set, element.id) : Describing.of(@set, element.id)
        list.flat_map { |part| [entry(part, of), *(part.kind == "attribute" ? parts(part, "#{of}, #{part.name}") : [])] }
      end

      def entry(element, of = joined(element))
        Entry.new(
          id: element.id,
          kind: element.noun,
          name: element.name,
          of:,
          type: element["type"],
          meaning: element["meaning"] || from_source(element),
          synonyms: element["synonyms"],
          source: source(element)
        )
      end

      def joined(element) = element.relation? ? element.endpoints.map { |id| @set.element(id).name }.join(" – ") : nil
      def source(element) = element["thread"] && Threads.path(@set, element["thread"])&.sub(%r{/\..*}, "")

      # What was derived means what its source means.
      def from_source(element) = element["thread"] && Threads.source(@set, element)&.[]("meaning")
    end
  end
end
