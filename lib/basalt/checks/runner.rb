# frozen_string_literal: true

module Basalt
  module Checks
    # Runs the checks of all families, and after a change only those that read what it touched.
    class Runner
      SEVERITIES = %i[error warning hint].freeze
      # Elements of a project up to which all of it is looked at while somebody types.
      SMALL = 1500

      # @param set [Model::WorkingSet, Change::Draft]
      # @param known [Hash{Class => Found}] what each check found before
      def initialize(set, known: {})
        @set = set
        @known = known
      end

      # @param touched [Touched, nil] since that; nil runs every check on everything
      # @return [Hash{Class => Found}]
      def by_check(touched = nil)
        analysis = AnalysisContext.new(@set)
        Families
          .gather(:checks)
          .to_h do |check|
            known = @known[check]
            [check, known && touched ? known.again(analysis, touched) : Found.afresh(check, analysis)]
          end
      end

      # What a few acts would newly bring, told from what they touch; checks of the whole project are left out
      # where that is large.
      #
      # @param touched [Touched]
      # @return [Array<Finding>]
      def near(touched)
        analysis = AnalysisContext.new(@set)
        checks =
          Families.gather(:checks).select { |check| check.reads.intersect?(touched.kinds) && (!check.wide || @set.elements.size <= SMALL) }
        Runner.sorted(checks.to_h { |check| [check, Found.around(check, analysis, touched)] })
      end

      # @return [Array<Finding>] errors first
      def self.sorted(by_check)
        by_check.values.flat_map(&:list).sort_by.with_index { |finding, index| [SEVERITIES.index(finding.severity), index] }
      end

      # @return [Array<Finding>]
      def findings = Runner.sorted(by_check)

      # Whoever wants no more than errors need not wait for the rest.
      #
      # @return [Array<Finding>] those of them that are errors
      def errors
        analysis = AnalysisContext.new(@set)
        Families
          .gather(:checks)
          .select { |check| check.at_worst == :error }
          .flat_map { |check| Found.afresh(check, analysis).list.select(&:error?) }
      end

      # @return [Model::Sheet, nil] the first sheet on which what the finding is about is drawn
      def self.sheet_of(set, finding)
        set.sheet_list.find { |sheet| about?(set, finding, sheet.id) }
      end

      # @return [Array<String>] ids of the sheets on which something the finding is about is drawn
      def self.sheets_about(set, finding)
        ids = finding.subjects.filter_map { |id| set.element(id) }.flat_map { |element| element.relation? ? element.targets : [element.id] }
        ids.flat_map { |id| set.sheets_of(owner(set, id)) }.uniq.select { |sheet_id| about?(set, finding, sheet_id) }
      end

      # What stands on sheets for a part is the thing that it belongs to.
      def self.owner(set, id)
        above = set.element(id)&.owner_id
        above ? owner(set, above) : id
      end
      private_class_method :owner

      # @return [Boolean] whether something the finding is about is drawn on the sheet
      def self.about?(set, finding, sheet_id)
        finding.subjects.any? do |id|
          element = set.element(id) or next
          element.relation? ? set.drawn_between?(sheet_id, element) : set.shown?(sheet_id, id) || set.shown_within?(sheet_id, id)
        end
      end
    end
  end
end
