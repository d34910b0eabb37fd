# frozen_string_literal: true

module Web
  # What acts are answered with.
  module Rendering
    # Places that are filled anew; in the others what stands there is made like the answer piece by
    # piece, so that nobody loses the place at which they type.
    ANEW = %w[#pieces #findings-later #answer #reading #typing-place].freeze
    # What is drawn of a thing: the thing, its lines, their words.
    LETTERS = %w[t l n].freeze

    # @return [String] a part of an answer, for the place that the selector names
    def part(selector, html, swap = ANEW.include?(selector) ? "innerHTML" : "innerMorph")
      "<hx-partial hx-target=\"#{h(selector)}\" hx-swap=\"#{swap}\">#{html}</hx-partial>"
    end

    # @return [Basalt::Drawing::Scene] for a page, images by their addresses
    def scene(project, sheet_id) = project.scene(sheet_id, images: Pictures.linked(project.project_id))

    # What an act altered: the pieces of the drawing and the register, the history. The findings
    # are asked for as soon as these are shown, so that nobody waits for the checks.
    #
    # @param acted [Acting::Acted]
    # @param fresh [Boolean] whether the whole sheet is told
    # @param entry [RegisterTable::Told, nil] what came of cells that were filled in
    def answer(project, acted, message: nil, fresh: false, entry: nil)
      sheet = project.set.sheets[acted.sheet.id]
      made = acted.made.is_a?(Fresh) ? acted.made.ids : []
      [
        part("#pieces", fresh ? whole(project, sheet, entry:, made:) : pieces(project, sheet, acted, entry:, made:)),
        part("#findings-later", view(:findings_later, sheet:)),
        part("#history", history(project, sheet)),
        part("#tabs", tabs(project, sheet, params[:kind])),
        *selection_part(project, sheet, acted.outcome.effect),
        *(part("#face", face(project, sheet, params[:face])) unless params[:face].to_s.empty?),
        part("#answer", message ? "<p class=\"done\" role=\"status\">#{h(message)}</p>" : "")
      ].join
    end

    # A sheet that was laid out afresh, or nothing; what was answered before stays.
    #
    # @param outcome [Store::ProjectSession::Outcome, nil]
    def grown(project, sheet, outcome)
      return "" unless outcome

      acted = Acting::Acted.new(sheet, outcome, nil, marked(project))
      part("#pieces", pieces(project, sheet, acted)) + part("#history", history(project, sheet))
    end

    # An act that was done and is asked for again is told again: the whole sheet, or source, as it stands now, and
    # what the first answer told besides.
    def answer_again(project, entry)
      own = Extensions.gather(:answers_again).filter_map { |name| public_send(name, project) }.first
      return own if own

      sheet = params[:sheet_id] && project.set.sheets[params[:sheet_id]]
      return redirect(project_path(project.project_id)) unless sheet

      told = entry.answer || {}
      refused = refusals(told["refused"] || [], Basalt::Register::Entry::Refused)
      filled = RegisterTable::Told.new(made: told["made"], refused:) if told["made"]
      parts = answer(project, Acting::Acted.new(sheet, Acting::NOTHING), fresh: true, entry: filled)
      return parts unless told["lines"]

      parts + part("#reading", reading_after(project, sheet, refusals(told["lines"], Basalt::Statements::ReadingPatch::Refused)))
    end

    def findings_parts(project, sheet)
      list = project.findings_on(sheet.id)
      [part("#findings", findings(project, sheet, list)), part("#counts", counts(list))]
    end

    # @param acted [Acting::Acted]
    def pieces(project, sheet, acted, entry: nil, made: [])
      scene = scene(project, sheet.id)
      outcome = acted.outcome
      items = scene.pieces((outcome.affected + remarked(project, acted.marked)).uniq)
      gone = gone(sheet, outcome, scene, items.to_set(&:id))
      altered = outcome.effect.on(:elements).map(&:id)
      told = { items:, gone:, affected: outcome.affected, altered:, made:, grown: outcome.grown }
      pieces_view(Presenters::Pieces.new(project, sheet, scene, **told), entry)
    end

    def whole(project, sheet, entry: nil, made: [])
      scene = scene(project, sheet.id)
      pieces_view(Presenters::Pieces.new(project, sheet, scene, items: scene.items, made:), entry)
    end

    # What errors are about is coloured, and may stand far from what an act touched.
    def marked(project) = project.known_findings.select(&:error?).flat_map(&:subjects)

    def download(name, type, content)
      content_type type, charset: "utf-8"
      attachment name
      content
    end

    private

    def pieces_view(pieces, entry) = view(:pieces, pieces:, entry: entry && Presenters::Entered.new(entry))

    def refusals(list, type) = list.map { |one| type.new(**one.transform_keys(&:to_sym)) }

    def selection_part(project, sheet, effect)
      ids = params[:chosen].to_s.split.grep(Lookup::ID).filter_map { |id| project.set.element_at(id)&.id }.uniq
      return [part("#facts", chosen_facts(project, sheet, ids))] if ids.length > 1
      return whole_sheet(project, sheet, effect) unless params[:selected].to_s.match?(Lookup::ID)

      element = project.set.element(params[:selected])
      [part("#facts", element ? facts(project, sheet, element) : sheet_facts(project, sheet))]
    end

    # What is told of a sheet as a whole follows every line where lines stand in order, and where a family says so.
    def whole_sheet(project, sheet, effect)
      follows = sheet.notation.scripted? || Extensions.follow?(project.set, sheet, effect)
      follows ? [part("#facts", sheet_facts(project, sheet))] : []
    end

    # @param drawn [Set<String>] ids of the groups that are told
    # @return [Array<String>] ids of groups and rows that are no longer there
    def gone(sheet, outcome, scene, drawn)
      taken_off = outcome.effect.on(:placements).select { |d| d.after.nil? && d.before.sheet_id == sheet.id }.map(&:id)
      shown = outcome.affected.filter_map { |key| scene.set.placement(sheet.id, key)&.id }
      hidden = shown.reject { |id| LETTERS.any? { |letter| drawn.include?(letter + id) } }
      struck = outcome.effect.on(:elements).select { |d| d.after.nil? }.map { |d| "r#{d.id}" }
      (taken_off + hidden).flat_map { |id| LETTERS.map { |letter| letter + id } } + struck
    end

    def remarked(project, before) = before ? marked(project).then { |now| (before | now) - (before & now) } : []
  end
end
