# frozen_string_literal: true

module Web
  # What is done on a sheet. Every route makes changes, hands them to the desk and answers
  # with the pieces that became different.
  module EditRoutes
    SHEET = "/projects/:project_id/sheets/:sheet_id"

    def self.registered(app)
      app.helpers(Acting)

      app.post("#{SHEET}/statements") do
        on_sheet(->(_) { "said: #{Basalt::Model::Names.short(params[:statements].to_s.strip, 120)}" }) do |draft, sheet|
          raise Basalt::Mistake, "Say something first" if params[:statements].to_s.strip.empty?

          Acting.say(draft, sheet, params[:statements])
        rescue Basalt::Statements::Misread
          @missing_declarations = Basalt::Statements::MissingDeclarations.of(params[:statements].strip, @desk.set, sheet.id)
          raise
        end
      end

      app.post("#{SHEET}/moves") do
        on_sheet(->(draft) { "moved #{Acting.moved_names(draft)}" }) do |draft, sheet|
          Moving.new(draft, sheet).by(Acting.moves(params[:moves]), dropped: params[:dropped] == "yes")
        end
      end

      app.post("#{SHEET}/tidy") do
        at_desk do |desk|
          sheet = sheet(desk)
          part = params[:part] ? Acting.chosen(desk.set, params) : nil
          style = params[:layout_style]
          style &&= Basalt::Change::SetLayoutStyle.new(sheet_id: sheet.id, style: style.empty? ? nil : style)
          words = style ? "laid out #{sheet.name} #{Basalt::Drawing::LayoutStyle::ALL.fetch(params[:layout_style], 'afresh')}" : "tidied #{part ? Acting.titles(desk.set, part) : sheet.name}"
          outcome = desk.act(said: words, by: person, sheet_id: sheet.id, tidy: part || true, by_hand: true) { |draft| draft.apply([style].compact) }
          answer(desk, sheet, outcome, message: outcome.effect.empty? ? "It is tidy already" : "Tidied", fresh: true) +
            part("#layout-styles-list", view(:layout_styles, sheet: desk.set.sheets[sheet.id]))
        end
      end

      app.post("#{SHEET}/facts/:element_id") do
        on_sheet(->(draft) { "set #{params[:fact]} of #{Acting.title(draft, draft.element(params[:element_id]))}" }) do |draft, sheet|
          element(@desk, params[:element_id])
          draft.apply(Acting.fact(draft, sheet, params[:element_id], params[:fact].to_s, params[:value]))
        end
      end

      # What an end of a relation says of itself.
      app.post("#{SHEET}/ends/:element_id") do
        on_sheet(->(draft) { "set #{params[:fact]} of #{Acting.title(draft, draft.element(params[:element_id]))}" }) do |draft, _|
          relation = element(@desk, params[:element_id])
          field = relation.description.end_fields.find { |one|
            one.name == params[:fact]
          } or raise Basalt::Mistake, "A #{relation.kind} says no #{Basalt::Model::Names.short(params[:fact])} at its ends"
          draft.apply(Basalt::Change::SetEnd.new(id: relation.id, role: params[:role].to_s, facts: { field.name => field.read(params[:value]) }))
        end
      end

      app.post("#{SHEET}/title") do
        on_sheet(->(_) { "altered the title block" }) do |draft, sheet|
          %i[name number revision status drawn_by dated band].each do |fact|
            draft.apply(Basalt::Change::SetSheet.new(id: sheet.id, fact:, value: params[fact])) if params.key?(fact.to_s)
          end
        end
      end

      app.get("#{SHEET}/inplace/:element_id") do
        at_desk do |desk|
          sheet(desk)
          element = element(desk, params[:element_id])
          content_type :json
          JSON.generate({ name: element.name.to_s, **element.description.brief.to_h { |fact| [fact, element[fact].to_s] } })
        end
      end

      # Several facts of one element, given together.
      app.post("#{SHEET}/inplace/:element_id") do
        on_sheet(->(draft) { "set #{Acting.title(draft, draft.element(params[:element_id]))}" }) do |draft, sheet|
          element(@desk, params[:element_id])
          Acting.facts(params[:facts]).each { |fact, value| draft.apply(Acting.fact(draft, sheet, params[:element_id], fact, value)) }
        end
      end

      %w[undo redo].each do |turn|
        app.post("#{SHEET}/#{turn}") do
          at_desk do |desk|
            note_marks(desk)
            outcome = desk.public_send(turn, by: person, sheet_id: sheet(desk).id)
            next answer(desk, sheet(desk), Acting::NOTHING, message: "Nothing to #{turn}") unless outcome

            answer(desk, sheet(desk), outcome, message: "#{turn == 'undo' ? 'Undone' : 'Done again'}: #{outcome.said}", fresh: outcome.affected.length > 200)
          end
        end
      end
    end
  end
end
