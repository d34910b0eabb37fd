# frozen_string_literal: true

module Web
  module Presenters
    # The sheets of a project, and what is done with them.
    class DrawingRegister
      Row = Basalt::Value.of(:sheet, :findings, :altered_by, :altered_at)

      # @param last [Hash{String => Store::JournalEntry}] the last act on each sheet
      # @param found [SearchResults, nil] what was searched for
      def initialize(project, last, found: nil)
        @project = project
        @last = last
        @found = found
      end

      attr_reader :found

      def asked = @found&.asked

      # @return [Array<Row>]
      def rows = @rows ||= @project.set.sheet_list.map { |sheet| row(sheet, @last[sheet.id]) }

      def notations = Basalt::Model::Catalogue.notations.keys
      def to_undo = @project.history(nil).first
      def to_redo = @project.history(nil).last

      private

      def found_here = @found_here ||= @project.findings_by_sheet

      def row(sheet, act)
        by = act ? act.said_by : [sheet.drawn_by, sheet.dated].compact.join(", ")
        Row.new(sheet:, findings: found_here.fetch(sheet.id, []), altered_by: by, altered_at: act&.at)
      end
    end
  end
end
