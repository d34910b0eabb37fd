# frozen_string_literal: true

module Web
  module Families
    module Process
      module Presenters
        # From an activity table to the context: who is outside, and what would be drawn.
        class ContextPage
          # @param derivation [Basalt::Process::ContextDerivation]
          def initialize(set, derivation)
            @set = set
            @derivation = derivation
          end

          def empty? = @derivation.rows.empty?
          def process? = !@derivation.process.nil?

          # @return [Array<Array(String, Object)>] who takes part, and where they stand
          def verdicts = @derivation.standing.verdicts.map { |verdict| [@set.element(verdict.party_id).name, verdict] }

          def steps = @steps ||= @derivation.steps
          def context = @derivation.context

          # @return [Boolean] whether rows are grouped into processes
          def grouped? = @derivation.rows.any?(&:container_id)
        end
      end
    end
  end
end
