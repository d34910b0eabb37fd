# frozen_string_literal: true

module Basalt
  module Checks
    # One rule of a trade. A subclass says its +id+, +severity+ and the kinds it +reads+, and
    # answers +findings+.
    class Check
      class << self
        # Declares the rule's identifier, severity and the kinds that it reads; +sheet+ among them where
        # it matters what a sheet is about or which level it is on.
        def rule(id, severity, reads:)
          @id = id
          @severity = severity
          @reads = reads.freeze
        end

        attr_reader :id, :severity, :reads
      end

      # @param analysis [AnalysisContext]
      def initialize(analysis)
        @analysis = analysis
      end

      attr_reader :analysis

      def set = analysis.set

      # @return [Array<Finding>]
      def findings
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
