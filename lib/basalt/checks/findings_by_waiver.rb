# frozen_string_literal: true

module Basalt
  module Checks
    # Findings parted by what people said of them: those that count, and those let stand.
    class FindingsByWaiver
      # @param findings [Array<Finding>]
      def initialize(set, findings)
        given = set.waivers.size.zero? ? {} : given(set, findings)
        standing, lapsed = given.partition { |finding, waiver| waiver.state == finding.state(set) }.map(&:to_h)
        @waivers = standing.compare_by_identity
        @lapsed = lapsed.compare_by_identity
        @waived, @open = @waivers.empty? ? [[], findings] : findings.partition { |finding| @waivers.key?(finding) }
      end

      # +open+ count; +waivers+ gives the waiver of each that does not; +lapsed+ that of each
      # that counts again because something changed.
      attr_reader :open, :waived, :waivers, :lapsed

      private

      # What a finding says is only worked out where somebody waived it once: there are many findings and few waivers.
      def given(set, findings)
        findings.each_with_object({}.compare_by_identity) do |finding, found|
          waiver = set.waivers.by(:finding, finding.key).max_by(&:ordinal)
          found[finding] = waiver if waiver
        end
      end
    end
  end
end
