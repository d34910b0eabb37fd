# frozen_string_literal: true

module Web
  # What people do about findings: repair, let stand with a reason, take that back.
  module FindingRoutes
    extend Routing

    SHEET = EditRoutes::SHEET

    helped_by :Findings

    get "#{SHEET}/findings", needs: :see, answers: :part do
      at_desk do |desk|
        sheet = sheet(desk)
        before = marked(desk)
        note_findings(desk)
        [*findings_parts(desk, sheet), part("#pieces", pieces(desk, sheet, Acting::Acted.new(sheet, Acting::NOTHING, nil, before)))].join
      end
    end

    get "#{SHEET}/repair", needs: :see, answers: :part do
      at_desk do |desk|
        sheet(desk)
        repair = found(desk.findings).repair or raise Basalt::Change::Conflict, "There is no repair for this"
        draft = Basalt::Change::Draft.new(desk.set).apply(repair.changes)
        gone, fresh = Basalt::Statements::Consequence.of(desk.set, draft)
        view(:repair, gone:, fresh:)
      end
    end

    post "#{SHEET}/repairs", needs: :edit, answers: :pieces, makes: "whatever the repair says" do
      at_desk do |desk|
        repair = found(desk.findings).repair or raise Basalt::Change::Conflict, "There is no repair for this"
        perform(desk, "repaired: #{repair.label}") { |draft, _| draft.apply(repair.changes) }
      end
    end

    post "#{SHEET}/waivers", needs: :edit, answers: :pieces, makes: "Waive" do
      at_desk do |desk|
        found = found(desk.findings)
        change = Basalt::Change::Waive.new(finding: found.key, state: found.state(desk.set), reason: params[:reason], said_by: person, at: Time.now.utc.iso8601)
        perform(desk, "waived: #{found.message}") { |draft, _| draft.apply(change) }
      end
    end

    post "#{SHEET}/waivers/:waiver_id/taken-back", needs: :edit, answers: :pieces, makes: "TakeBack" do
      on_sheet(->(_) { "took a waiver back" }) { |draft, _| draft.apply(Basalt::Change::TakeBack.new(id: id(params[:waiver_id]))) }
    end

    # Finding the one that is meant.
    module Findings
      def found(findings)
        findings.find { |finding| finding.key == params[:finding] } or raise Basalt::Change::Conflict, "This finding is no longer there"
      end
    end
  end
end
