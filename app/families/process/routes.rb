# frozen_string_literal: true

module Web
  module Families
    module Process
      # From the activity table to context and levels.
      module Routes
        extend Routing

        SHEET = EditRoutes::SHEET

        helped_by :ContextSteps

        get("#{SHEET}/framing", needs: :see, answers: :page) do
          with_project do |project|
            derivation = Basalt::Process::ContextDerivation.new(project.set, sheet(project).id)
            erb(:framing, locals: { project:, sheet: sheet(project), context: Presenters::ContextPage.new(project.set, derivation) })
          end
        end

        post "#{SHEET}/framing", needs: :edit, answers: :redirect, makes: "whatever the steps say" do
          with_project do |project|
            keys = Array(params[:steps]).map(&:to_s)
            raise Refusals::NothingTicked if keys.empty?

            redirect sheet_path(frame(project, sheet(project), keys))
          end
        end

        # What the table is about, before anything can be drawn from it.
        post "#{SHEET}/subject", needs: :edit, answers: :redirect, makes: "Add, SetSubject" do
          with_project do |project|
            sheet = sheet(project)
            project.act(said: "said what #{sheet.name} is about", by: person, sheet_id: sheet.id) do |draft|
              ContextSteps.about(draft, sheet, params[:name].to_s)
            end
            redirect sheet_path(sheet.id, "framing")
          end
        end

        post "#{SHEET}/rows/:element_id", needs: :edit, answers: :pieces, makes: "Reorder" do
          on_sheet(->(_) { "moved a row" }) do |draft, sheet|
            row = element(draft, params[:element_id])
            rows = RegisterTable.new(draft, sheet).rows(row.kind).map(&:id)
            raise Basalt::Mistake, "It has no place among others" unless row.description.ordered && rows.include?(row.id)

            draft.apply(
              Basalt::Change::Reorder.new(ids: rows, id: row.id, place: rows.index(row.id) + 1 + params[:by].to_i.clamp(-10_000, 10_000))
            )
          end
        end

        post "#{SHEET}/standing/:element_id", needs: :edit, answers: :pieces, makes: "Set" do
          on_sheet(->(draft) { "decided where #{draft.element(params[:element_id]).name} stands" }) do |draft, _|
            party = element(draft, params[:element_id])
            raise Basalt::Mistake, "Only somebody who takes part stands inside or outside" unless party.kind == "party"

            draft.apply(ContextSteps.standing(party, params))
          end
        end

        post "#{SHEET}/activities", needs: :edit, answers: :pieces, makes: "Add, Set" do
          table = ContextSteps.table(params[:file])
          on_sheet(->(_) { "brought in an activity table" }) do |draft, sheet|
            Basalt::Process::ActivityTable.into(draft, table, sheet.id)
          end
        end

        post "#{SHEET}/opened/:element_id", needs: :edit, answers: :redirect, makes: "AddSheet, SetSubject, Show" do
          with_project do |project|
            process = element(project.set, params[:element_id])
            raise Basalt::Mistake, "Only a process opens into a level" unless process.kind == "process"

            made = nil
            known = project.set.sheets_about(process.id).any? { |one| one.notation_name == "data flow" }
            project.act(said: "opened #{process.name} into a level", by: person) do |draft|
              (made = Basalt::Process::LevelSheet.level(draft, process)).then { |id| signed(draft, id) unless known }
            end
            project.act(said: "laid out the level", by: person, sheet_id: made, tidy: true) { nil } unless known
            lead_to(made)
          end
        end

        post "/projects/:project_id/flow-notation", needs: :edit, answers: :redirect, makes: "SetVariant" do
          with_project do |project|
            variant = params[:variant] == "boxes" ? "boxes" : nil
            project.act(said: "drew processes as #{variant ? "rounded boxes" : "circles"} everywhere", by: person, tidy: false) do |draft|
              ContextSteps.drawn(draft, variant)
            end
            project
              .set
              .sheet_list
              .select { |one| ContextSteps::FLOWS.include?(one.notation_name) }
              .each { |one| project.act(said: "laid out #{one.name}", by: person, sheet_id: one.id, tidy: :complete) { nil } }
            redirect params[:back].to_s.match?(Lookup::ID) ? sheet_path(params[:back]) : project_path(project.project_id)
          end
        end

        get("#{SHEET}/interfaces", needs: :see, answers: :page) do
          with_project do |project|
            list = Basalt::Process::Interfaces.new(project.set, sheet(project).id)
            erb(:interfaces, locals: { project:, sheet: sheet(project), rows: list.rows, headings: list.class::HEADINGS })
          end
        end
        get("#{SHEET}/interfaces.csv", needs: :see, answers: :file) do
          with_project do |project|
            download("interfaces.csv", "text/csv", Basalt::Process::Interfaces.new(project.set, sheet(project).id).csv)
          end
        end
        get("#{SHEET}/activities.csv", needs: :see, answers: :file) do
          with_project do |project|
            download(
              "activities.csv",
              "text/csv",
              Basalt::Process::ActivityTable.csv(project.set, Basalt::Process::ContextDerivation.new(project.set, sheet(project).id).rows)
            )
          end
        end
        get("/projects/:project_id/uses", needs: :see, answers: :page) do
          with_project { |project| erb(:uses, locals: { project:, uses: Presenters::UsesPage.new(Basalt::Usage::Matrix.new(project.set)) }) }
        end
        get("/projects/:project_id/uses.csv", needs: :see, answers: :file) do
          with_project { |project| download("uses.csv", "text/csv", Basalt::Usage::Matrix.new(project.set).csv) }
        end

        # What the routes need of the model.
        module ContextSteps
          FLOWS = Basalt::Process::LevelSheet::FLOWS

          # @return [String] id of the sheet to go to
          def frame(project, sheet, keys)
            fresh = []
            project.act(said: "drew the context from #{sheet.name}", by: person, sheet_id: sheet.id) do |draft|
              before = draft.sheet_list.map(&:id)
              Basalt::Process::ContextDerivation.new(draft, sheet.id).into(draft, keys:)
              fresh = (draft.sheet_list.map(&:id) - before).each { |id| signed(draft, id) }
            end
            fresh.each { |id| project.act(said: "laid out #{project.set.sheets[id].name}", by: person, sheet_id: id, tidy: true) { nil } }
            fresh.first || Basalt::Process::ContextDerivation.new(project.set, sheet.id).context&.id || sheet.id
          end

          class << self
            def about(draft, sheet, name)
              process =
                draft.named(Basalt::Model::Names.clean(name), "process").first ||
                Basalt::Change::Add.new(kind: "process", name:).apply(draft)
              draft.apply(Basalt::Change::SetSubject.new(sheet_id: sheet.id, element_id: process.id))
            end

            # @return [Array] changes
            def standing(party, params)
              return [Basalt::Change::Set.new(id: party.id, fact: "decided", value: nil)] if params[:standing] == "table"

              reason = params[:reason].to_s.strip
              raise Basalt::Refusals::ReasonMissing if reason.empty?

              standing = params[:standing] == "outside" ? Basalt::Process::Kinds::OUTSIDER : Basalt::Process::Kinds::ROLE
              [
                Basalt::Change::Set.new(id: party.id, fact: "standing", value: standing),
                Basalt::Change::Set.new(id: party.id, fact: "decided", value: reason)
              ]
            end

            def drawn(draft, variant)
              draft
                .sheet_list
                .select { |sheet| FLOWS.include?(sheet.notation_name) }
                .each { |sheet| draft.apply(Basalt::Change::SetVariant.new(sheet_id: sheet.id, variant:)) }
            end

            def table(file) = Basalt::Formats::CSV.new(Upload.new(file, limit: Basalt::Formats::CSV::LIMIT).bytes)
          end
        end
      end
    end
  end
end
