# frozen_string_literal: true

module Web
  # What is done on a sheet. Every route makes changes, hands them to the project and answers
  # with the pieces that became different.
  module EditRoutes
    extend Routing

    SHEET = "/projects/:project_id/sheets/:sheet_id"

    post "#{SHEET}/statements", needs: :edit, answers: :pieces, makes: "whatever is said" do
      with_project do |project|
        left = nil
        said = "said: #{Basalt::Model::Names.short(params[:statements].to_s.strip, 120)}"
        parts =
          perform(project, said) do |draft, sheet|
            raise Basalt::Mistake, "Say something first" if params[:statements].to_s.strip.empty?

            Acting.say(draft, sheet, params[:statements], TypingPlace.cursor(draft, sheet, params)) { |cursor| left = cursor }
          rescue Basalt::Statements::Misread => e
            raise Undeclared.new(e.message, Basalt::Statements::MissingDeclarations.of(params[:statements].strip, draft.base, sheet.id))
          end
        parts + typing_place(project, sheet(project), left)
      end
    end

    post "#{SHEET}/moves", needs: :edit, answers: :pieces, makes: "Arrange, Set" do
      with_project do |project|
        # What was dropped stands where the notation has it, also where nothing came of it.
        fresh = sheet(project).notation.ruled?
        perform(project, ->(draft) { "moved #{Acting.moved_names(draft)}" }, fresh:) do |draft, sheet|
          Reposition.new(draft, sheet).by(Acting.moves(params[:moves]), dropped: params[:dropped] == "yes")
        end
      end
    end

    post "#{SHEET}/tidy", needs: :edit, answers: :pieces, makes: "SetLayoutStyle, Arrange" do
      with_project do |project|
        part = params[:part] ? Acting.chosen(project.set, params) : nil
        style = params[:layout_style]
        words =
          (
            if style
              "laid out #{sheet(project).name} #{Basalt::Drawing::LayoutStyle::ALL.fetch(style, "afresh")}"
            else
              "tidied #{part ? Acting.titles(project.set, part) : sheet(project).name}"
            end
          )
        acted =
          act_on(project, words, tidy: part || true, by_hand: true) do |draft, sheet|
            draft.apply(Basalt::Change::SetLayoutStyle.new(sheet_id: sheet.id, style: style.empty? ? nil : style)) if style
          end
        answer(project, acted, message: acted.outcome.effect.empty? ? "It is tidy already" : "Tidied", fresh: true) +
          part("#layout-styles-list", layout_styles(sheet(project)))
      end
    end

    # Asked for by a page of a sheet that has grown, when nothing is being done there.
    post "#{SHEET}/growth", needs: :edit, answers: :pieces, makes: "Arrange" do
      with_project do |project|
        outcome = project.grow(sheet(project).id, by: person)
        grown(project, sheet(project), outcome)
      end
    end

    post "#{SHEET}/facts/:element_id", needs: :edit, answers: :pieces, makes: "Set" do
      on_sheet(->(draft) { "set #{params[:fact]} of #{Acting.title(draft, draft.element(params[:element_id]))}" }) do |draft, sheet|
        element(draft, params[:element_id])
        draft.apply(Acting.fact(draft, sheet, params[:element_id], params[:fact].to_s, params[:value]))
      end
    end

    # What an end of a relation says of itself.
    post "#{SHEET}/ends/:element_id", needs: :edit, answers: :pieces, makes: "SetEnd" do
      on_sheet(->(draft) { "set #{params[:fact]} of #{Acting.title(draft, draft.element(params[:element_id]))}" }) do |draft, _|
        relation = element(draft, params[:element_id])
        field = relation.description.end_fields.find { |one| one.name == params[:fact] } or
          raise Basalt::Mistake, "A #{relation.kind} says no #{Basalt::Model::Names.short(params[:fact])} at its ends"
        draft.apply(
          Basalt::Change::SetEnd.new(id: relation.id, role: params[:role].to_s, facts: { field.name => field.read(params[:value]) })
        )
      end
    end

    post "#{SHEET}/title", needs: :edit, answers: :pieces, makes: "SetSheet" do
      on_sheet(->(_) { "altered the title block" }) do |draft, sheet|
        %i[name number revision status drawn_by dated band].each do |fact|
          draft.apply(Basalt::Change::SetSheet.new(id: sheet.id, fact:, value: params[fact])) if params.key?(fact.to_s)
        end
      end
    end

    get "#{SHEET}/inplace/:element_id", needs: :see, answers: :json do
      with_project do |project|
        sheet(project)
        element = element(project.set, params[:element_id])
        content_type :json
        JSON.generate({ name: element.name.to_s, **element.description.brief.to_h { |fact| [fact, element[fact].to_s] } })
      end
    end

    # Several facts of one element, given together.
    post "#{SHEET}/inplace/:element_id", needs: :edit, answers: :pieces, makes: "Set" do
      on_sheet(->(draft) { "set #{Acting.title(draft, draft.element(params[:element_id]))}" }) do |draft, sheet|
        element(draft, params[:element_id])
        Acting.facts(params[:facts]).each { |fact, value| draft.apply(Acting.fact(draft, sheet, params[:element_id], fact, value)) }
      end
    end

    %w[undo redo].each do |turn|
      post "#{SHEET}/#{turn}", needs: :edit, answers: :pieces, makes: "Revert" do
        with_project do |project|
          marked = marked(project)
          outcome = project.public_send(turn, by: person, sheet_id: sheet(project).id)
          acted = Acting::Acted.new(sheet(project), outcome || Acting::NOTHING, nil, marked)
          next answer(project, acted, message: "Nothing to #{turn}") unless outcome

          answer(
            project,
            acted,
            message: "#{turn == "undo" ? "Undone" : "Done again"}: #{outcome.said}",
            fresh: outcome.affected.length > 200
          )
        end
      end
    end
  end
end
