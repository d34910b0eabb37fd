# frozen_string_literal: true

module Basalt
  module Checks
    # Findings parted by what people said of them: those that count, and those let stand.
    class FindingsByWaiver
      # @param findings [Array<Finding>]
      def initialize(set, findings)
        @waived, @open = findings.partition { |finding| waiver(set, finding)&.state == finding.state(set) }
        @waivers = @waived.to_h { |finding| [finding, waiver(set, finding)] }
        @lapsed = @open.to_h { |finding| [finding, waiver(set, finding)] }.compact
      end

      # +open+ count; +waivers+ gives the waiver of each that does not; +lapsed+ that of each
      # that counts again because something changed.
      attr_reader :open, :waived, :waivers, :lapsed

      private

      def waiver(set, finding) = set.waivers.by(:finding, finding.key).max_by(&:ordinal)
    end
  end
end
