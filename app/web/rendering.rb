# frozen_string_literal: true

module Web
  # Parts of pages.
  module Rendering
    FINDINGS = 60

    # Places that are filled anew; in the others what stands there is made like the answer piece by
    # piece, so that nobody loses the place at which they type.
    ANEW = %w[#pieces #findings-later #answer #reading].freeze

    # @return [String] a part of an answer, for the place that the selector names
    def part(selector, html, swap = ANEW.include?(selector) ? "innerHTML" : "innerMorph")
      "<hx-partial hx-target=\"#{h(selector)}\" hx-swap=\"#{swap}\">#{html}</hx-partial>"
    end

    # @return [Basalt::Drawing::Scene] for a page, images by their addresses
    def scene(project, sheet_id) = project.scene(sheet_id, images: Pictures.linked(project.project_id))

    # @param box [Basalt::Layout::Box]
    # @return [String] as the page's scripts read it
    def sides(box) = [box.x, box.y, box.w, box.h].map { |side| side.round(1) }.join(" ")

    def view(name, **locals) = erb(name, locals:, layout: false)

    # @param place [Symbol] see Extensions.panels
    # @return [String] what the families show there
    def panels(place, **locals) = Extensions.panels(place).map { |name| view(name, **locals) }.join

    # What an act altered: the pieces of the drawing and the register, the history. The findings
    # are asked for as soon as these are shown, so that nobody waits for the checks.
    #
    # @param acted [Acting::Acted]
    # @param fresh [Boolean] whether the whole sheet is told
    # @param entry [RegisterTable::Told, nil] what came of cells that were filled in
    def answer(project, acted, message: nil, fresh: false, entry: nil)
      sheet = project.set.sheets[acted.sheet.id]
      new_ids = acted.made.is_a?(Fresh) ? acted.made.ids : []
      [
        part("#pieces", fresh ? whole(project, sheet, entry:, new_ids:) : pieces(project, sheet, acted, entry:, new_ids:)),
        part("#findings-later", view(:findings_later, sheet:)),
        part("#history", view(:history, project:, sheet:)),
        part("#tabs", view(:tabs, project:, sheet:, kind: params[:kind])),
        *selection_part(project, sheet),
        part("#answer", message ? "<p class=\"done\" role=\"status\">#{h(message)}</p>" : "")
      ].join
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
      if told["lines"]
        parts + part("#reading", reading_after(project, sheet, refusals(told["lines"], Basalt::Statements::ReadingPatch::Refused)))
      else
        parts
      end
    end

    def refusals(list, type) = list.map { |one| type.new(**one.transform_keys(&:to_sym)) }

    def findings_parts(project, sheet)
      findings = project.findings_on(sheet.id)
      [part("#findings", view(:findings, project:, sheet:, findings:)), part("#counts", view(:counts, findings:))]
    end

    def selection_part(project, sheet)
      ids = params[:chosen].to_s.split.grep(Lookup::ID).filter_map { |id| project.set.element_at(id)&.id }.uniq
      return [part("#facts", view(:chosen_facts, project:, sheet:, ids:))] if ids.length > 1
      return [] unless params[:selected].to_s.match?(Lookup::ID)

      element = project.set.element(params[:selected])
      [part("#facts", element ? view(:facts, project:, sheet:, element:) : view(:sheet_facts, project:, sheet:))]
    end

    # @param acted [Acting::Acted]
    def pieces(project, sheet, acted, entry: nil, new_ids: [])
      scene = scene(project, sheet.id)
      outcome = acted.outcome
      view(
        :pieces,
        project:,
        sheet:,
        items: scene.pieces((outcome.affected + remarked(project, acted.marked)).uniq),
        gone: gone(project, sheet, outcome, scene),
        affected: outcome.affected,
        frame: Basalt::Drawing::Furniture.frame(scene),
        whole: false,
        entry:,
        new_ids:
      )
    end

    LETTERS = %w[t l n].freeze

    # @return [Array<String>] ids of groups and rows that are no longer there
    def gone(_project, sheet, outcome, scene)
      taken_off = outcome.effect.on(:placements).select { |d| d.after.nil? && d.before.sheet_id == sheet.id }.map(&:id)
      hidden =
        outcome
          .affected
          .filter_map { |key| scene.set.placement(sheet.id, key) }
          .select { |placed| scene.items_of(placed).empty? }
          .map(&:id)
      struck = outcome.effect.on(:elements).select { |d| d.after.nil? }.map { |d| "r#{d.id}" }
      (taken_off + hidden).flat_map { |id| LETTERS.map { |letter| letter + id } } + struck
    end

    # What errors are about is coloured, and may stand far from what an act touched.
    def marked(project) = project.known_findings.select(&:error?).flat_map(&:subjects)
    def remarked(project, before) = before ? marked(project).then { |now| (before | now) - (before & now) } : []

    def whole(project, sheet, entry: nil, new_ids: [])
      scene = scene(project, sheet.id)
      view(
        :pieces,
        project:,
        sheet:,
        items: scene.items,
        gone: [],
        affected: [],
        frame: Basalt::Drawing::Furniture.frame(scene),
        whole: true,
        entry:,
        new_ids:
      )
    end

    # The title of the page that a template is.
    def titled(text)
      request.env["basalt.title"] = text
      nil
    end

    def title = request.env["basalt.title"] || "Basalt"

    def download(name, type, content)
      content_type type, charset: "utf-8"
      attachment name
      content
    end

    # Kinds that have a table on this sheet, with how many there are; those of which there are none come last.
    def register_kinds(project, sheet)
      counts = project.contents(sheet.id).counts
      some, none = (sheet.notation.lines + sheet.notation.things).partition { |kind| counts.key?(kind) }
      none = none.reject { |kind| Basalt::Model::Catalogue.kind(kind).figure }.sort_by { |kind| sheet.notation.things.index(kind) || 99 }
      parts = sheet.notation.parts.map { |kind| [kind, register(project, sheet).parts(kind).length] }
      parts +=
        sheet.notation.told.filter_map do |kind|
          register(project, sheet).rows(kind).length.then { |count| [kind, count] if count.positive? }
        end
      (some + none).map { |kind| [kind, counts.fetch(kind, 0)] }.insert(some.empty? ? -1 : some.length, *parts)
    end

    # @return [Array<Basalt::Model::Sheet>] on which an element stands besides, from the coarsest to the finest
    def other_sheets(set, element, sheet)
      (set.sheets_of(element.id) - [sheet.id]).map { |id| set.sheets[id] }.sort_by { |other| depth(other) }
    end

    # How far down a sheet stands: by its band, then by its number.
    def depth(sheet) = [ProjectRoutes::BANDS.index(sheet.band) || 0, sheet.number.to_s]

    # @return [Basalt::Model::Sheet, nil] that shows the same from further off: what contains it, or itself on a coarser level
    def sheet_above(set, sheet, subject)
      containing = subject.container_id && set.sheets_about(subject.container_id).find { |one| one.notation_name == sheet.notation_name }
      containing || set.sheets_about(subject.id).find { |one| (depth(one) <=> depth(sheet)).negative? && one.band != sheet.band }
    end

    def register(project, sheet, owner: nil) = RegisterTable.new(project.set, sheet, owner_id: owner&.id)

    def ago(time)
      seconds = (Time.now - time).to_i
      case seconds
      when 0..59
        "just now"
      when 60..3599
        "#{Basalt::English.count(seconds / 60, "minute")} ago"
      when 3600..86_399
        "#{Basalt::English.count(seconds / 3600, "hour")} ago"
      else
        "#{Basalt::English.count(seconds / 86_400, "day")} ago"
      end
    end
  end
end
