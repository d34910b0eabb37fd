# frozen_string_literal: true

module Web
  module Families
    module Decisions
      # Decisions are made about what stands on sheets, listed on a page, and kept as records in Markdown.
      module Routes
        extend Routing

        SHEET = EditRoutes::SHEET
        Core = Basalt::Decisions

        helped_by :Deciding

        get("/projects/:project_id/decisions", needs: :see, answers: :page) do
          with_project { |project| erb(:decisions, locals: { project:, page: Presenters::DecisionsPage.new(project.set) }) }
        end

        get("/projects/:project_id/decisions.md", needs: :see, answers: :file) do
          with_project { |project| download("decisions.md", "text/markdown", Core::Record.all(project.set)) }
        end

        post "/projects/:project_id/decisions", needs: :edit, answers: :redirect, makes: "Add, Set" do
          with_project do |project|
            records = Deciding.records(params[:file])
            said = "brought in #{Basalt::English.count(records.length, "decision")}"
            project.act(said:, by: person) { |draft| Core::Intake.new(draft).take(records) }
            redirect(project_path(project.project_id, "decisions"))
          end
        end

        # On a sheet they are shown there.
        post "#{SHEET}/decision-records", needs: :edit, answers: :pieces, makes: "Add, Set, Show" do
          records = Deciding.records(params[:file])
          on_sheet(->(_) { "brought in #{Basalt::English.count(records.length, "decision")}" }) do |draft, sheet|
            Core::Intake.new(draft, sheet_id: sheet.id).take(records)
            nil
          end
        end

        # Something was decided about what is selected.
        post "#{SHEET}/decided/:element_id", needs: :edit, answers: :pieces, makes: "Add, Set" do
          on_sheet(->(draft) { "decided about #{Core::About.title(draft, element(draft, params[:element_id]).id)}" }) do |draft, _|
            Deciding.decide(draft, element(draft, params[:element_id]), params, person)
            nil
          end
        end

        # A decision is about something more, or no longer.
        post "#{SHEET}/decision-about/:element_id", needs: :edit, answers: :pieces, makes: "Add, Remove" do
          on_sheet(->(draft) { "said what #{decision(draft).name} is about" }) do |draft, sheet|
            Deciding.about(draft, sheet, decision(draft), params)
            nil
          end
        end

        post "#{SHEET}/decision-replaces/:element_id", needs: :edit, answers: :pieces, makes: "Add, Remove" do
          on_sheet(->(draft) { "said what #{decision(draft).name} replaces" }) do |draft, _|
            Deciding.replaces(draft, decision(draft), params)
            nil
          end
        end

        # What could have been chosen, with what speaks for it and against it; without a name it goes.
        post "#{SHEET}/decision-option/:element_id", needs: :edit, answers: :pieces, makes: "Add, Set, Remove" do
          on_sheet(->(draft) { "said what could be chosen in #{decision(draft).name}" }) do |draft, _|
            Deciding.option(draft, decision(draft), params)
            nil
          end
        end

        # What the routes need of the model.
        module Deciding
          # @raise [Basalt::Mistake] where something else is meant
          def decision(set)
            one = element(set, params[:element_id])
            one.kind == Core::Kinds::DECISION ? one : raise(Basalt::Mistake, "That is no decision")
          end

          class << self
            def records(file)
              upload = Upload.new(file, limit: Basalt::Statements::Document::LIMIT)
              Core::Record.read(Basalt::Formats::PlainText.read(upload.bytes))
            end

            def decide(draft, thing, params, person)
              choice = params[:choice].to_s.strip
              raise Basalt::Mistake, "Say what was decided" if choice.empty?

              signed = { "status" => "accepted", "dated" => Date.today.iso8601, "who" => person }
              facts = { "choice" => choice, "reason" => params[:reason], **signed }.reject { |_, value| value.to_s.strip.empty? }
              id = draft.new_id
              draft.apply(Basalt::Change::Add.new(kind: Core::Kinds::DECISION, name: Core::Intake.next_name(draft), facts:, id:))
              draft.apply(Core::About.concerning(draft, id, thing.id))
            end

            def about(draft, sheet, decision, params)
              return no_longer(draft, decision, params[:thing].to_s) if params[:no]

              name = params[:name].to_s.strip
              found = draft.named(name).reject { |one| one.id == decision.id }
              here = found.select { |one| draft.shown?(sheet.id, one.id) }
              thing = (here.any? ? here : found).first
              raise Basalt::Mistake, "Nothing is called “#{Basalt::Model::Names.short(name)}”" unless thing

              draft.apply(Core::About.concerning(draft, decision.id, thing.id))
            end

            def no_longer(draft, decision, thing_id)
              Core::About.of(draft, decision.id).each do |one|
                draft.apply(Basalt::Change::Remove.new(id: one.id)) if one.target("thing") == thing_id
              end
            end

            def replaces(draft, decision, params)
              name = params[:name].to_s.strip
              earlier = draft.named(name, Core::Kinds::DECISION).first
              raise Basalt::Mistake, "There is no decision “#{Basalt::Model::Names.short(name)}”" unless earlier

              context = Basalt::Statements::Context.new(draft)
              return Core::Sentences.replace(context, { decision:, earlier: }) unless params[:no]

              found = Core::Sentences.relation(draft, Core::Kinds::REPLACES, { decision:, earlier: })
              found.each { |one| draft.apply(Basalt::Change::Remove.new(id: one.id)) }
            end

            def option(draft, decision, params)
              name = Basalt::Model::Names.clean(params[:name].to_s)
              known = draft.parts_of(decision.id).find { |one| one.name == name }
              return draft.apply(Basalt::Change::Remove.new(id: known.id)) if params[:no] && known

              id = known&.id || draft.new_id
              draft.apply(Basalt::Change::Add.new(kind: Core::Kinds::OPTION, name:, owner_id: decision.id, id:)) unless known
              %w[for against].each { |fact| draft.apply(Basalt::Change::Set.new(id:, fact:, value: params[fact])) if params.key?(fact) }
            end
          end
        end
      end
    end
  end
end
