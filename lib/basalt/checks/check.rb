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
        # @param near [Integer] how many steps from such an element what it reads may be; a step leads to an owner, a part, what
        #   is joined or what joins
        # @param wide [Boolean] whether what is found of one may depend on much that is far from it, so that it is not looked at
        #   while somebody types in a large project
        # @param at_worst [Symbol] how severe a finding of it can be, where that is more than it is as a rule
        def rule(id, severity, reads:, each: nil, near: 1, wide: each.nil?, at_worst: severity)
          @id = id
          @severity = severity
          @at_worst = at_worst
          @reads = reads.freeze
          @each = each && Array(each).freeze
          @near = near
          @wide = wide
        end

        attr_reader :id, :severity, :at_worst, :reads, :each, :near, :wide

        # @return [Symbol] +:element+ or +:project+
        def scope = each ? :element : :project

        # What every finding of the rule depends on, where that is more than what is near its element: when it becomes another,
        # everything is looked at again.
        #
        # @return [Object, nil] to be compared
        def given(_set) = nil

        # @param analysis [AnalysisContext]
        # @param touched [Touched]
        # @return [Set<String>] ids of all elements of which something else may be found now
        def reached(analysis, touched) = touched.around(analysis.set, near)
      end

      # @param analysis [AnalysisContext]
      def initialize(analysis)
        @analysis = analysis
      end

      attr_reader :analysis

      def set = analysis.set

      # @return [Array<Finding>]
      def findings = set.of_kind(*self.class.each).then { |all| among(all).then { all.flat_map { |element| about(element) } } }

      # Told before they are looked at one by one, for what is worked out of all of them.
      #
      # @param elements [Array<Model::Element>]
      def among(elements); end

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
