# frozen_string_literal: true

module Web
  # Parts of pages.
  module Rendering
    FINDINGS = 60

    # @return [String] a part of an answer, for the place that the selector names
    def part(selector, html, swap = "innerHTML")
      "<hx-partial hx-target=\"#{h(selector)}\" hx-swap=\"#{swap}\">#{html}</hx-partial>"
    end

    def view(name, **locals) = erb(name, locals:, layout: false)

    # What an act altered: the pieces of the drawing and the register, the findings, the history.
    def answer(desk, sheet, outcome, message: nil, fresh: false)
      current = desk.set.sheets[sheet.id]
      [part("#pieces", fresh ? whole(desk, current) : pieces(desk, current, outcome)), *common_parts(desk, current),
       part("#answer", message ? "<p class=\"done\" role=\"status\">#{h(message)}</p>" : "")].join
    end

    def common_parts(desk, sheet)
      findings = desk.findings_on(sheet.id)
      [part("#findings", view(:findings, desk:, sheet:, findings:)), part("#counts", view(:counts, findings:)),
       part("#history", view(:history, desk:, sheet:)), part("#tabs", view(:tabs, desk:, sheet:, kind: params[:kind])),
       *selection_part(desk, sheet)]
    end

    def selection_part(desk, sheet)
      chosen = params[:selected].to_s
      return [] unless chosen.match?(Opening::ID)

      element = desk.set.element(chosen)
      [part("#facts", element ? view(:facts, desk:, sheet:, element:) : view(:sheet_facts, desk:, sheet:))]
    end

    def pieces(desk, sheet, outcome)
      scene = Basalt::Drawing::Scene.new(desk.set, sheet.id, findings: desk.findings_on(sheet.id))
      items = scene.pieces(outcome.affected + marked(outcome))
      gone = outcome.effect.on(:placements).select { |d| d.after.nil? && d.before.sheet_id == sheet.id }.flat_map { |d| %w[t l n].map { |letter| letter + d.id } }
      struck = outcome.effect.on(:elements).select { |d| d.after.nil? }.map { |d| "r#{d.id}" }
      view(:pieces, desk:, sheet:, items:, gone: gone + struck, affected: outcome.affected, frame: Basalt::Drawing::Furniture.frame(scene), whole: false)
    end

    # Labels that errors colour may stand at lines that the act did not touch.
    def marked(_outcome)
      before = @marked_before || []
      now = @desk.findings.select(&:error?).flat_map(&:subjects)
      (before | now) - (before & now)
    end

    def note_marks(desk)
      @marked_before = desk.findings.select(&:error?).flat_map(&:subjects)
    end

    def whole(desk, sheet)
      scene = Basalt::Drawing::Scene.new(desk.set, sheet.id, findings: desk.findings_on(sheet.id))
      view(:pieces, desk:, sheet:, items: scene.items, gone: [], affected: [], frame: Basalt::Drawing::Furniture.frame(scene), whole: true)
    end

    # Kinds that have a table on this sheet, with how many there are.
    def register_kinds(desk, sheet)
      writing = sheet.writing
      elements = desk.set.things_on(sheet.id) + writing.lines_on(desk.set, sheet.id)
      elements.group_by(&:kind).sort_by { |kind, _| (writing.lines + writing.things).index(kind) || 99 }
    end

    def register(desk, sheet) = Register.new(desk.set, sheet)

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
