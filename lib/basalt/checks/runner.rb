# frozen_string_literal: true

module Basalt
  module Checks
    # Runs the checks of all families, and after a change only those that read what it touched.
    class Runner
      SEVERITIES = %i[error warning hint].freeze

      # @param set [Model::WorkingSet, Change::Draft]
      # @param known [Hash{Class => Array<Finding>}] what each check found before
      def initialize(set, known: {})
        @set = set
        @known = known
      end

      # @param kinds [Array<String>, nil] kinds that were touched; nil runs every check
      # @return [Hash{Class => Array<Finding>}]
      def by_check(kinds = nil)
        analysis = AnalysisContext.new(@set)
        Families.gather(:checks).to_h do |check|
          stale = kinds.nil? || !@known.key?(check) || check.reads.intersect?(kinds)
          [check, stale ? check.new(analysis).findings : @known[check]]
        end
      end

      # @return [Array<Finding>] errors first
      def self.sorted(by_check)
        by_check.values.flatten.sort_by.with_index { |finding, index| [SEVERITIES.index(finding.severity), index] }
      end

      # @return [Array<Finding>]
      def findings = Runner.sorted(by_check)

      # @return [Model::Sheet, nil] the first sheet on which what the finding is about is drawn
      def self.sheet_of(set, finding)
        set.sheet_list.find { |sheet| about?(set, finding, sheet.id) }
      end

      # @return [Boolean] whether something the finding is about is drawn on the sheet
      def self.about?(set, finding, sheet_id)
        finding.subjects.any? do |id|
          element = set.element(id) or next
          element.relation? ? set.drawn_between?(sheet_id, element) : set.shown?(sheet_id, id)
        end
      end
    end
  end
end
