# frozen_string_literal: true

module Web
  # What people do about findings: repair, let stand with a reason, take that back.
  module FindingRoutes
    extend Routing

    SHEET = EditRoutes::SHEET
    # Lines of what a repair would do that are told.
    TOLD = 6

    helped_by :Findings

    get "#{SHEET}/findings", needs: :see, answers: :part do
      with_project do |project|
        sheet = sheet(project)
        before = marked(project)
        note_findings(project)
        [
          *findings_parts(project, sheet),
          part("#pieces", pieces(project, sheet, Acting::Acted.new(sheet, Acting::NOTHING, nil, before)))
        ].join
      end
    end

    get "#{SHEET}/repair", needs: :see, answers: :part do
      with_project do |project|
        sheet(project)
        repair = found(project.findings).repair or raise Basalt::Change::Conflict, "There is no repair for this"
        draft = Basalt::Change::Draft.new(project.set).apply(repair.changes)
        gone, fresh = Basalt::Statements::Consequence.of(project.set, draft)
        view(:repair, gone:, fresh:, more: [gone, fresh].sum { |lines| [lines.length - TOLD, 0].max })
      end
    end

    post "#{SHEET}/repairs", needs: :edit, answers: :pieces, makes: "whatever the repair says" do
      with_project do |project|
        repair = found(project.findings).repair or raise Basalt::Change::Conflict, "There is no repair for this"
        perform(project, "repaired: #{repair.label}") { |draft, _| draft.apply(repair.changes) }
      end
    end

    post "#{SHEET}/waivers", needs: :edit, answers: :pieces, makes: "Waive" do
      with_project do |project|
        found = found(project.findings)
        change =
          Basalt::Change::Waive.new(
            finding: found.key,
            state: found.state(project.set),
            reason: params[:reason],
            said_by: person,
            at: Time.now.utc.iso8601
          )
        perform(project, "waived: #{found.message}") { |draft, _| draft.apply(change) }
      end
    end

    post "#{SHEET}/waivers/:waiver_id/taken-back", needs: :edit, answers: :pieces, makes: "TakeBack" do
      on_sheet(->(_) { "took a waiver back" }) { |draft, _| draft.apply(Basalt::Change::TakeBack.new(id: id(params[:waiver_id]))) }
    end

    # Finding the one that is meant.
    module Findings
      def found(findings)
        findings.find { |finding| finding.key == params[:finding] } or raise Basalt::Refusals::Gone, "This finding"
      end
    end
  end
end
