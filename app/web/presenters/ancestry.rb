# frozen_string_literal: true

module Web
  module Presenters
    # The way down to a sheet: the sheets above it, on which something stands that opens into the next.
    class Ancestry
      # Sheets of the way that are told.
      MOST = 6
      # A sheet, and what on it opens into the next one.
      Step = Basalt::Value.of(:sheet, :element)

      def initialize(set, sheet)
        @set = set
        @sheet = sheet
      end

      # @return [Array<Step>] from the highest
      def steps
        found = []
        at = @sheet
        seen = [at.id]
        while found.length < MOST && (step = above(at)) && !seen.include?(step.sheet.id)
          found.unshift(step)
          seen << step.sheet.id
          at = step.sheet
        end
        found
      end

      # @return [Step, nil] the sheet right above one: of several the one that is nearest to its level
      def above(sheet = @sheet)
        candidates =
          @set.opened_by(sheet.id).flat_map do |id|
            element = @set.element(id)
            (@set.sheets_of(id) - [sheet.id]).map { |other| Step.new(sheet: @set.sheets[other], element:) }
          end
        higher = candidates.select { |step| (SheetDepth.of(step.sheet) <=> SheetDepth.of(sheet)).negative? }
        higher.max_by { |step| SheetDepth.of(step.sheet) } || candidates.min_by { |step| SheetDepth.of(step.sheet) }
      end
    end
  end
end
