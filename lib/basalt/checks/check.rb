# frozen_string_literal: true

module Basalt
  module Checks
    # One rule of a trade. A subclass says its +id+, +severity+ and the kinds it +reads+. One whose findings are each about an
    # element of some kind says so with +each+, and answers +about+; after an act it looks only at those of them that are
    # near what was touched. Any other answers +findings+, and looks at the whole project.
    class Check
      class << self
        # Declares the rule's identifier, severity and the kinds that it reads; +sheet+ among them where
        # it matters what a sheet is about or which level it is on.
        #
        # @param each [Array<String>, nil] kinds of the elements that its findings are about, one by one
        # @param near [Integer] how many steps from such an element what it reads may be: 0 to 2; a step leads to an owner, a part, what
        #   is joined or what joins
        def rule(id, severity, reads:, each: nil, near: 1)
          @id = id
          @severity = severity
          @reads = reads.freeze
          @each = each && Array(each).freeze
          @near = near
        end

        attr_reader :id, :severity, :reads, :each, :near

        # @return [Symbol] +:element+ or +:project+
        def scope = each ? :element : :project
      end

      # @param analysis [AnalysisContext]
      def initialize(analysis)
        @analysis = analysis
      end

      attr_reader :analysis

      def set = analysis.set

      # @return [Array<Finding>]
      def findings = set.of_kind(*self.class.each).flat_map { |element| about(element) }

      # @param element [Model::Element] of one of the kinds of +each+
      # @return [Array<Finding>]
      def about(_element)
        raise NotImplementedError
      end

      private

      def finding(subjects, message, why, repair: nil, also: [])
        Finding.new(id: self.class.id, severity: self.class.severity, subjects: Array(subjects), message:, why:, repair:, also:)
      end

      def repair(label, *changes) = Repair.new(label:, changes:)
    end
  end
end
