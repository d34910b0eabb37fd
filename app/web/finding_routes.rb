# frozen_string_literal: true

module Web
  # What people do about findings: repair, let stand with a reason, take that back.
  module FindingRoutes
    SHEET = EditRoutes::SHEET

    def self.registered(app)
      app.helpers(Findings)

      app.get("#{SHEET}/findings") do
        at_desk do |desk|
          sheet = sheet(desk)
          note_marks(desk)
          note_findings(desk)
          [*findings_parts(desk, sheet), part("#pieces", pieces(desk, sheet, Acting::NOTHING))].join
        end
      end

      app.get("#{SHEET}/repair") do
        at_desk do |desk|
          sheet(desk)
          repair = found(desk.findings).repair or raise Basalt::Change::Conflict, "There is no repair for this"
          draft = Basalt::Change::Draft.new(desk.set).apply(repair.changes)
          gone, fresh = Basalt::Statements::Consequence.of(desk.set, draft)
          view(:repair, gone:, fresh:)
        end
      end

      app.post("#{SHEET}/repairs") do
        at_desk do |desk|
          repair = found(desk.findings).repair or raise Basalt::Change::Conflict, "There is no repair for this"
          perform(desk, "repaired: #{repair.label}") { |draft, _| draft.apply(repair.changes) }
        end
      end

      app.post("#{SHEET}/waivers") do
        at_desk do |desk|
          found = found(desk.findings)
          change = Basalt::Change::Waive.new(finding: found.key, state: found.state(desk.set), reason: params[:reason], said_by: person, at: Time.now.utc.iso8601)
          perform(desk, "waived: #{found.message}") { |draft, _| draft.apply(change) }
        end
      end

      app.post("#{SHEET}/waivers/:waiver_id/taken-back") do
        on_sheet(->(_) { "took a waiver back" }) { |draft, _| draft.apply(Basalt::Change::TakeBack.new(id: id(params[:waiver_id]))) }
      end
    end

    # Finding the one that is meant.
    module Findings
      def found(findings)
        findings.find { |finding| finding.key == params[:finding] } or raise Basalt::Change::Conflict, "This finding is no longer there"
      end
    end
  end
end
