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
    def scene(desk, sheet_id) = desk.scene(sheet_id, images: Pictures.linked(desk.project_id))

    # @param box [Basalt::Layout::Box]
    # @return [String] as the page's scripts read it
    def sides(box) = [box.x, box.y, box.w, box.h].map { |side| side.round(1) }.join(" ")

    def view(name, **locals) = erb(name, locals:, layout: false)

    # What an act altered: the pieces of the drawing and the register, the history. The findings
    # are asked for as soon as these are shown, so that nobody waits for the checks.
    def answer(desk, sheet, outcome, message: nil, fresh: false)
      current = desk.set.sheets[sheet.id]
      [part("#pieces", fresh ? whole(desk, current) : pieces(desk, current, outcome)), part("#findings-later", view(:findings_later, sheet:)),
       part("#history", view(:history, desk:, sheet: current)), part("#tabs", view(:tabs, desk:, sheet: current, kind: params[:kind])),
       *selection_part(desk, current), part("#answer", message ? "<p class=\"done\" role=\"status\">#{h(message)}</p>" : "")].join
    end

    # An act that was done and is asked for again is told again: the whole sheet, or source, as it stands now, and
    # what the first answer told besides.
    def answer_again(desk, entry)
      return after_marking(desk) if params[:source_id] && htmx?

      sheet = params[:sheet_id] && desk.set.sheets[params[:sheet_id]]
      return redirect(project_path(desk.project_id)) unless sheet

      told = entry.answer || {}
      @entry = Register::Told.new(made: told["made"], refused: told["refused"].map { |one| Basalt::Register::Entry::Refused.new(**one.transform_keys(&:to_sym)) }) if told["made"]
      parts = answer(desk, sheet, Acting::NOTHING, fresh: true)
      told["lines"] ? parts + part("#reading", reading_after(desk, sheet, told["lines"].map { |one| Basalt::Statements::ReadingPatch::Refused.new(**one.transform_keys(&:to_sym)) })) : parts
    end

    def findings_parts(desk, sheet)
      findings = desk.findings_on(sheet.id)
      [part("#findings", view(:findings, desk:, sheet:, findings:)), part("#counts", view(:counts, findings:))]
    end

    def selection_part(desk, sheet)
      ids = params[:chosen].to_s.split.grep(Opening::ID).select { |id| desk.set.element(id) }
      return [part("#facts", view(:chosen_facts, desk:, sheet:, ids:))] if ids.length > 1
      return [] unless params[:selected].to_s.match?(Opening::ID)

      element = desk.set.element(params[:selected])
      [part("#facts", element ? view(:facts, desk:, sheet:, element:) : view(:sheet_facts, desk:, sheet:))]
    end

    def pieces(desk, sheet, outcome)
      scene = scene(desk, sheet.id)
      gone = outcome.effect.on(:placements).select { |d| d.after.nil? && d.before.sheet_id == sheet.id }.flat_map { |d| %w[t l n].map { |letter| letter + d.id } }
      gone += outcome.affected.filter_map { |id| desk.set.placement(sheet.id, id) }.select { |placed| scene.items_of(placed).empty? }.flat_map { |placed|
        %w[t l n].map { |letter|
          letter + placed.id
        }
      }
      struck = outcome.effect.on(:elements).select { |d| d.after.nil? }.map { |d| "r#{d.id}" }
      view(:pieces, desk:, sheet:, items: scene.pieces((outcome.affected + remarked(desk)).uniq), gone: gone + struck, affected: outcome.affected,
                    frame: Basalt::Drawing::Furniture.frame(scene), whole: false)
    end

    # What errors are about is coloured, and may stand far from what an act touched.
    def note_marks(desk)
      @marked = marked(desk)
    end

    def marked(desk) = desk.known_findings.select(&:error?).flat_map(&:subjects)
    def remarked(desk) = marked(desk).then { |now| @marked ? (@marked | now) - (@marked & now) : [] }

    def whole(desk, sheet)
      scene = scene(desk, sheet.id)
      view(:pieces, desk:, sheet:, items: scene.items, gone: [], affected: [], frame: Basalt::Drawing::Furniture.frame(scene), whole: true)
    end

    # Kinds that have a table on this sheet, with how many there are; those of which there are none come last.
    def register_kinds(desk, sheet)
      counts = desk.contents(sheet.id).counts
      some, none = (sheet.notation.lines + sheet.notation.things).partition { |kind| counts.key?(kind) }
      none = none.reject { |kind| Basalt::Model::Catalogue.kind(kind).figure }.sort_by { |kind| sheet.notation.things.index(kind) || 99 }
      parts = sheet.notation.parts.map { |kind| [kind, register(desk, sheet).parts(kind).length] }
      (some + none).map { |kind| [kind, counts.fetch(kind, 0)] }.insert(some.empty? ? -1 : some.length, *parts)
    end

    # How far down a sheet stands: by its band, then by its number.
    def depth(sheet) = [ProjectRoutes::BANDS.index(sheet.band) || 0, sheet.number.to_s]

    def register(desk, sheet, owner: nil) = Register.new(desk.set, sheet, owner_id: owner&.id)

    def ago(time)
      seconds = (Time.now - time).to_i
      case seconds
      when 0..59 then "just now"
      when 60..3599 then "#{Basalt::English.count(seconds / 60, 'minute')} ago"
      when 3600..86_399 then "#{Basalt::English.count(seconds / 3600, 'hour')} ago"
      else "#{Basalt::English.count(seconds / 86_400, 'day')} ago"
      end
    end
  end
end
