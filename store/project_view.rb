# frozen_string_literal: true

module Store
  # A project as one request sees it: all of it at one version, which stays as it is while others act. What the request
  # itself does leads to the version that its act made. Only acting takes the project's turn; drawing and checking do not.
  class ProjectView
    # @param session [ProjectSession]
    # @param set [Basalt::Model::PinnedSet]
    # @param request [Request, nil] what a page asked for, kept with the first act that comes of it
    def initialize(session, set, request)
      @session = session
      @request = request
      @contents = {}
      @set = set
    end

    attr_reader :set

    def project_id = @session.project_id
    def name = set.project

    # Lets go of the version; the view is not to be used afterwards.
    def release = @set.release

    # Keeps what an answer has to tell besides the drawing, for when it is asked for again.
    #
    # @param answer [Hash] of plain values
    def keep_answer(answer)
      @request&.answer = answer
    end

    # @return [Array<Basalt::Checks::Finding>] those that nobody waived
    def findings = findings_by_waiver.open

    # @return [Basalt::Checks::FindingsByWaiver] all findings, the waived ones apart
    def findings_by_waiver = @findings_by_waiver ||= @session.findings.at(set)

    # @return [Array<Basalt::Checks::Finding>] as they were when they were last worked out
    def known_findings = (@findings_by_waiver || last_found || findings_by_waiver).open

    # @return [Array<Basalt::Checks::Finding>] about what is drawn on the sheet
    def findings_on(sheet_id, list = findings)
      list.select { |finding| Basalt::Checks::Runner.about?(set, finding, sheet_id) }
    end

    # @return [Hash{String => Array<Basalt::Checks::Finding>}] by the sheets on which what they are about is drawn
    def findings_by_sheet
      findings.each_with_object(Hash.new { |found, id| found[id] = [] }) do |finding, found|
        Basalt::Checks::Runner.sheets_about(set, finding).each { |id| found[id] << finding }
      end
    end

    # @return [Basalt::Drawing::SheetStatistics]
    def contents(sheet_id) = @contents[sheet_id] ||= @session.contents(set, sheet_id)

    # @param images [#call, nil] gives an image's address by its id
    # @return [Basalt::Drawing::Scene] with what errors are about marked
    def scene(sheet_id, images: nil)
      Basalt::Drawing::Scene.new(set, sheet_id, findings: known_findings, contents: contents(sheet_id), images:)
    end

    # @return [Array(String, String)] what undo and redo would be of, in words; nil where there is nothing
    def history(sheet_id) = @session.history(sheet_id)

    # @return [Integer] the version since which what the sheet shows is as it is
    def drawn_at(sheet_id) = @session.drawn_at(sheet_id)

    # What a draft that is not kept would bring to the sheet.
    #
    # @return [Array<Basalt::Drawing::Item>]
    def preview(draft, sheet_id) = @session.preview(draft, sheet_id, contents(sheet_id))

    # See ProjectSession#act, #undo and #redo.
    def act(...) = lead_on { @session.act(...) }
    def undo(...) = lead_on { @session.undo(...) }
    def redo(...) = lead_on { @session.redo(...) }

    # Lays out afresh what has grown on a sheet that nobody arranged, if it is better then. It is worked out while others act, and
    # kept where nobody did.
    #
    # @return [ProjectSession::Outcome, nil] nil where nothing came of it
    def grow(sheet_id, by:)
      draft = Basalt::Change::Draft.new(set)
      return unless Basalt::Drawing::Growth.new(draft, sheet_id).catch_up

      lead_on { @session.grow(draft, sheet_id, by:) }
    rescue Basalt::Change::Conflict
      nil
    end

    private

    def last_found
      last = @session.findings.last
      @last_found ||= last && Basalt::Checks::FindingsByWaiver.new(set, last)
    end

    # From the version before an act to the one after it.
    def lead_on
      outcome, pinned = @session.taking_turn(@request) { yield.then { |outcome| [outcome, @session.pin] } }
      @request = nil if outcome&.effect&.empty? == false
      release
      @set = pinned
      @contents = {}
      @findings_by_waiver = @last_found = nil
      outcome
    end
  end
end
