# frozen_string_literal: true

module Web
  # What is in the model and not on a sheet that could show it: listed, and placed by hand.
  module StandingRoutes
    extend Routing

    SHEET = EditRoutes::SHEET

    helped_by :Standing

    get("#{SHEET}/not-placed", needs: :see, answers: :part) do
      with_project do |project|
        list = Presenters::NotPlaced.new(project.set, sheet(project), params[:q].to_s)
        view(params[:q] ? :not_placed : :not_placed_box, sheet: sheet(project), list:)
      end
    end

    # Where somebody let it go, or where there is room; with what it is joined to, where that was asked for.
    post "#{SHEET}/stood/:element_id", needs: :edit, answers: :pieces, makes: "Show, Arrange" do
      on_sheet(->(draft) { "placed #{Acting.title(draft, draft.element(params[:element_id]))}" }) do |draft, sheet|
        thing = element(draft, params[:element_id])
        at = Acting.numbers(params, "x", "y") if params[:x]
        # The list stays for the next: nothing is selected.
        Standing.place(draft, sheet, thing, at, neighbours: params[:neighbours] == "yes")
        nil
      end
    end

    # How it comes to stand there.
    module Standing
      # Neighbours that come along.
      MOST = 60

      module_function

      def place(draft, sheet, thing, at, neighbours: false)
        if at then DrawingRoutes::Drawing.show(draft, sheet, thing.id, *at)
        else show(draft, sheet, thing)
        end
        near = neighbours ? joined(draft, sheet, thing).first(MOST) : []
        near.each { |one| draft.apply(Basalt::Change::Show.new(sheet_id: sheet.id, element_id: one.id)) }
      end

      def show(draft, sheet, thing)
        raise Basalt::Mistake, "A #{sheet.notation_name} sheet draws no #{thing.noun}" unless sheet.notation.draws?(thing)

        draft.apply(Basalt::Change::Show.new(sheet_id: sheet.id, element_id: thing.id))
      end

      # What lines of the sheet would join it to, and what it is in.
      def joined(draft, sheet, thing)
        lines = draft.relations_of(thing.id, *sheet.notation.lines)
        ids = lines.flat_map(&:endpoints) + [thing.container_id].compact
        ids.uniq.filter_map { |id| draft.element(id) }.select { |one| sheet.notation.draws?(one) && !draft.shown?(sheet.id, one.id) }
      end
    end
  end
end
