# frozen_string_literal: true

module Web
  module Presenters
    # The findings of a sheet: those that are open, and those that somebody let stand.
    class FindingList
      # A finding, what of the drawing it is about, and the waiver that it outgrew.
      Told = Basalt::Value.of(:finding, :id, :about, :also, :lapsed)
      # A finding that stands, and who said why.
      Standing = Basalt::Value.of(:message, :shown, :reason, :signed, :waiver_id)
      MOST = 60
      # How much of what is cut off is lit up.
      LIT = 300

      # @param findings [Array<Basalt::Checks::Finding>]
      def initialize(project, sheet, findings)
        @project = project
        @sheet = sheet
        @findings = findings
      end

      def count = @findings.length
      def empty? = @findings.empty?
      def unseen = [count - MOST, 0].max
      def told = @findings.first(MOST).map { |finding| tell(finding) }
      def waived_count = waived.length
      def standing = waived.first(MOST).map { |finding| stand(finding, by_waiver.waivers[finding]) }

      private

      def by_waiver = @project.findings_by_waiver
      def waived = @waived ||= @project.findings_on(@sheet.id, by_waiver.waived)

      def tell(finding)
        also = finding.also.first(LIT).join(" ")
        id = "finding-#{Zlib.crc32(finding.key)}"
        Told.new(finding:, id:, about: finding.subjects.join(" "), also:, lapsed: by_waiver.lapsed[finding])
      end

      def stand(finding, waiver)
        signed = [waiver.said_by, waiver.at.to_s[0, 10]].compact.join(", ")
        Standing.new(message: finding.message, shown: finding.subjects.first, reason: waiver.reason, signed:, waiver_id: waiver.id)
      end
    end
  end
end
