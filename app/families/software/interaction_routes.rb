# frozen_string_literal: true

module Web
  module Families
    module Software
      # Interactions: what is done with what stands in order, every way through it, and what carries the use cases.
      module InteractionRoutes
        extend Routing

        SHEET = EditRoutes::SHEET
        Interactions = Basalt::Software::Interactions

        helped_by :Interacting

        # What is chosen goes one place on in its order, or back.
        post "#{SHEET}/in-order", needs: :edit, answers: :pieces, makes: "Set" do
          on_sheet(->(_) { "brought messages #{params[:by].to_i.positive? ? "on" : "back"} in their order" }) do |draft, _|
            draft.apply(Interactions::Shift.new(ids: Acting.chosen(draft, params), by: params[:by].to_i.positive? ? 1 : -1))
          end
        end

        post "#{SHEET}/answered/:element_id", needs: :edit, answers: :pieces, makes: "Add" do
          on_sheet(->(_) { "answered a message" }) do |draft, _|
            Fresh.new(nil, [Interactions::Acts.answer(draft, ordered_item(draft)).id])
          end
        end

        post "#{SHEET}/message-turned/:element_id", needs: :edit, answers: :pieces, makes: "Rejoin" do
          on_sheet(->(_) { "turned a message round" }) { |draft, _| Interactions::Acts.turn(draft, ordered_item(draft)) }
        end

        # A call is chosen with all that it causes.
        post "#{SHEET}/caused/:element_id", needs: :edit, answers: :pieces, makes: "nothing" do
          on_sheet(->(_) { "chose what a message causes" }) { |draft, _| Fresh.new(nil, Interactions::Items.caused(draft, ordered_item(draft).id)) }
        end

        post "#{SHEET}/wrapped", needs: :edit, answers: :pieces, makes: "Add, Set" do
          on_sheet(->(_) { "put #{params[:operator]} around messages" }) do |draft, _|
            Fresh.new(nil, [Interactions::Acts.wrap(draft, Acting.chosen(draft, params), params[:operator].to_s, params[:guard].to_s).id])
          end
        end

        post "#{SHEET}/branched/:element_id", needs: :edit, answers: :pieces, makes: "Add" do
          on_sheet(->(_) { "added a branch" }) { |draft, _| Interactions::Acts.branch(draft, ordered_item(draft)) }
        end

        post "#{SHEET}/copied-in-order", needs: :edit, answers: :pieces, makes: "Add" do
          on_sheet(->(_) { "copied messages" }) { |draft, _| Fresh.new(nil, Interactions::Acts.copy(draft, Acting.chosen(draft, params))) }
        end

        # With all that stands in it.
        post "#{SHEET}/removed-whole/:element_id", needs: :edit, answers: :pieces, makes: "Remove" do
          on_sheet(->(_) { "removed a fragment with what was in it" }) do |draft, _|
            draft.apply(Interactions::Removal.new(id: ordered_item(draft).id))
          end
        end

        # Participants where lines are short.
        post "#{SHEET}/participants-ordered", needs: :edit, answers: :pieces, makes: "Set" do
          on_sheet(->(_) { "put participants in an order in which lines are short" }) do |draft, sheet|
            draft.apply(Interactions::Arrangement.new(Interactions::Course.new(draft, Interacting.shown(draft, sheet).id)).changes)
          end
        end

        # The same interaction in the other notation.
        post "#{SHEET}/shown-as/:notation", needs: :edit, answers: :redirect, makes: "AddSheet, Show" do
          with_project do |project|
            made = nil
            project.act(said: "showed #{sheet(project).name} as #{params[:notation]}", by: person) do |draft|
              made = Interacting.other(draft, sheet(project), params[:notation].to_s) { |*about, **rest| open_sheet(draft, *about, **rest) }
            end
            lead_to(made)
          end
        end

        { "scenarios.csv" => ["text/csv", :csv], "scenarios.md" => ["text/markdown", :markdown] }.each do |name, (type, format)|
          get "#{SHEET}/#{name}", needs: :see, answers: :file do
            with_project { |project| download(name, type, Interacting.scenarios(project.set, sheet(project)).public_send(format)) }
          end
        end

        # The steps of one way, to be played on the drawing.
        get "#{SHEET}/scenario/:number", needs: :see, answers: :json do
          with_project do |project|
            number = params[:number].to_i
            raise Refusals::NotFound, "scenario" unless number.between?(1, Interactions::Scenarios::MOST)

            interaction = Interacting.shown(project.set, sheet(project))
            steps = Interactions::Scenarios.new(project.set,
                                                interaction.id).first(number)[number - 1] or raise Refusals::NotFound, "scenario"
            content_type :json
            JSON.generate(steps.map { |step| [step.id, step.condition? ? "(#{step.text})" : step.text] })
          end
        end

        get "#{SHEET}/traffic.csv", needs: :see, answers: :file do
          with_project do |project|
            interaction = Interacting.shown(project.set, sheet(project))
            download("traffic.csv", "text/csv", Interactions::Traffic.new(Interactions::Course.new(project.set, interaction.id)).csv)
          end
        end

        get "/projects/:project_id/agreement", needs: :see, answers: :page do
          with_project do |project|
            erb(:agreement, layout: :layout, locals: { project:, page: Presenters::AgreementPage.new(project, params[:operation]) })
          end
        end

        get "/projects/:project_id/agreement.csv", needs: :see, answers: :file do
          with_project { |project| download("agreement.csv", "text/csv", Interactions::Agreement.new(project.set).csv) }
        end

        # What the routes need of the model.
        module Interacting
          def ordered_item(draft)
            one = element(draft, params[:element_id])
            return one if Interactions::Script::KINDS.include?(one.kind)

            raise Basalt::Mistake, "Only what happens in an interaction stands in order"
          end

          class << self
            # @raise [Refusals::NotFound] where the sheet shows none
            def shown(set, sheet) = Interactions::Scope.shown(set, sheet.id) || raise(Refusals::NotFound, "interaction")

            def scenarios(set, sheet)
              interaction = shown(set, sheet)
              Interactions::ScenarioTable.new(interaction.name, Interactions::Scenarios.new(set, interaction.id))
            end

            # @return [String] id of the sheet that shows it so, which is made where there is none
            def other(draft, sheet, notation)
              sheets = Interactions::Scope::SHEETS
              raise Basalt::Mistake, "An interaction is shown as #{sheets.join(" or ")}" unless sheets.include?(notation)

              interaction = shown(draft, sheet)
              known = draft.sheets_about(interaction.id).find { |one| one.notation_name == notation }
              return known.id if known

              showing = Interactions::Course.new(draft, interaction.id).participants
              yield "#{sheet.name}: #{notation}", notation, about: interaction, showing:
            end
          end
        end
      end
    end
  end
end
