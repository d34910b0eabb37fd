# frozen_string_literal: true

module Web
  module Presenters
    # A page of the journal: of a project, of one of its sheets, or of one element.
    class JournalPage
      Line = Basalt::Value.of(:number, :said_by, :words, :on, :undone, :at)
      VERBS = { "undo" => "undid: ", "redo" => "did again: ", "growth" => "laid the sheet out afresh after: " }.freeze
      PAGE = 100
      private_constant :VERBS

      # @param entries [Array<Store::JournalEntry>] one more than a page holds, where there are earlier ones
      def initialize(project, entries, page:, sheet: nil, element: nil)
        @set = project.set
        @entries = entries
        @page = page
        @sheet = sheet
        @element = element
      end

      # @return [String, nil] what it is of
      def about = @element ? Acting.title(@set, @element) : @sheet&.name

      # @return [Array<Line>] +on+: the sheet that was acted on, where that is not what the journal is of
      def lines
        @entries.first(PAGE).map do |entry|
          on = entry.sheet_id && @set.sheets[entry.sheet_id]
          on = nil if on == @sheet
          words = "#{VERBS[entry.act]}#{entry.said}"
          Line.new(number: entry.number, said_by: entry.said_by, words:, on:, undone: entry.state == "undone", at: entry.at)
        end
      end

      def empty? = @entries.empty?

      # @return [String, nil] the query of the page of what was done later, and of what was done earlier
      def later = @page.positive? ? query(@page - 1) : nil
      def earlier = @entries.length > PAGE ? query(@page + 1) : nil

      private

      def query(page) = URI.encode_www_form({ sheet: @sheet&.id, element: @element&.id, page: }.compact)
    end
  end
end
