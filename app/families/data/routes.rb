# frozen_string_literal: true

module Web
  module Families
    module Data
      # From entities to tables, to SQL, to the proof that a server accepts it.
      module Routes
        extend Routing

        SHEET = EditRoutes::SHEET

        helped_by :Deriving

        get "#{SHEET}/derive", needs: :see, answers: :page do
          with_project do |project|
            sheet = sheet(project)
            about = { steps: derivation(project.set, sheet).steps, target: target(project.set, sheet), whole: whole? }
            erb(:derive, locals: { project:, sheet:, derivation: Presenters::DerivePage.new(project.set, sheet, **about) })
          end
        end

        post "#{SHEET}/derive", needs: :edit, answers: :redirect, makes: "whatever the steps say" do
          with_project do |project|
            sheet = sheet(project)
            keys = params[:all] ? nil : Array(params[:steps]).map(&:to_s)
            raise Refusals::NothingTicked if keys && keys.empty?

            to = derive(project, sheet, keys)
            redirect "#{project_path(project.project_id, "sheets/#{to}")}"
          end
        end

        # What the words of the model mean.
        get("/projects/:project_id/dictionary", needs: :see, answers: :page) do
          with_project do |project|
            dictionary = Basalt::Data::Dictionary.new(project.set)
            erb(:dictionary, locals: { project:, dictionary:, headings: dictionary.class::HEADINGS })
          end
        end

        { "csv" => "text/csv", "md" => "text/markdown" }.each do |ending, type|
          get "/projects/:project_id/dictionary.#{ending}", needs: :see, answers: :file do
            with_project do |project|
              content_type type, charset: "utf-8"
              attachment "dictionary.#{ending}"
              Basalt::Data::Dictionary.new(project.set).public_send(ending == "csv" ? :csv : :markdown)
            end
          end
        end

        # How the house names tables and columns.
        get("/projects/:project_id/conventions", needs: :see, answers: :page) do
          with_project do |project|
            house = project.set.of_kind(Basalt::Data::Logical::Conventions::KIND).first
            erb(:conventions, locals: { project:, conventions: Presenters::ConventionsPage.new(house) })
          end
        end
        get("/projects/:project_id/conventions/sample", needs: :see, answers: :part) do
          with_project { |project| view(:convention_sample, tables: sample(project.set, params)) }
        end

        post "/projects/:project_id/conventions", needs: :edit, answers: :redirect, makes: "Add, Set" do
          with_project do |project|
            project.act(said: "agreed on names", by: person) { |draft| agree(draft, params) }
            redirect project_path(project.project_id, "conventions")
          end
        end

        post "#{SHEET}/judged/:element_id", needs: :edit, answers: :pieces, makes: "Set" do
          verdict = %w[confirmed disputed open].find { |one| one == params[:verdict] } or
            raise Basalt::Mistake, "A sentence is confirmed, disputed or open"
          on_sheet(
            ->(draft) do
              "#{verdict == "open" ? "opened" : verdict} a sentence about #{Acting.title(draft, draft.element(params[:element_id]))}"
            end
          ) do |draft, _|
            draft.apply(
              Basalt::Data::ReadBack.judge(draft, element(draft, params[:element_id]), params[:index].to_i.clamp(0, 1), verdict)
            )
          end
        end

        post "#{SHEET}/turned/:element_id", needs: :edit, answers: :pieces, makes: "Turning" do
          on_sheet(->(draft) { "turned #{Acting.title(draft, draft.element(params[:element_id]))}" }) do |draft, _|
            draft.apply(Basalt::Data::Turning.new(id: element(draft, params[:element_id]).id))
          end
        end

        # What turned out to be something else.
        post "#{SHEET}/made/:element_id",
             needs: :edit,
             answers: :pieces,
             makes: "Promoting, Demoting, Objectifying, PullingUp, Merging" do
          on_sheet(->(_, made) { made.of }) do |draft, _|
            thing = element(draft, params[:element_id])
            change, words = Deriving.going_back(draft, thing, params)
            fresh = change.apply(draft)
            Fresh.new(words, fresh.respond_to?(:kind) && fresh.kind == "entity" ? [fresh.id] : [])
          end
        end

        get "#{SHEET}/schema.sql", needs: :see, answers: :file do
          with_project do |project|
            content_type "application/sql", charset: "utf-8"
            attachment "#{sheet(project).name.unicode_normalize(:nfd).gsub(/[^A-Za-z0-9 .-]/, "").strip.gsub(/\s+/, "-")}.sql"
            script(project.set, sheet(project)).text
          end
        end

        # Rows that the constraints let in.
        get "#{SHEET}/rows", needs: :see, answers: :page do
          with_project do |project|
            rows = Presenters::RowsPage.new(ProofWork.rows(project.set, sheet(project).id, row_count), row_count)
            erb(:sample_rows, locals: { project:, sheet: sheet(project), rows: })
          end
        end

        { "sql" => "application/sql", "zip" => "application/zip" }.each do |ending, type|
          get "#{SHEET}/rows-#{ending}", needs: :see, answers: :file do
            with_project do |project|
              rows = Presenters::RowsPage.new(ProofWork.rows(project.set, sheet(project).id, row_count), row_count)
              download("#{Drawings::FileName.plain("#{sheet(project).name} rows")}.#{ending}", type, rows.public_send(ending))
            end
          end
        end

        # The same for another engine: what it cannot hold, its types, and its script.
        get "#{SHEET}/engines/:engine", needs: :see, answers: :page do
          with_project do |project|
            sheet = sheet(project)
            page = Presenters::EnginePage.new(project.set, sheet, Basalt::Data::Physical::Engine.named(params[:engine]))
            erb(:engine, locals: { project:, sheet:, page: })
          end
        end

        get "#{SHEET}/engines/:engine/schema.sql", needs: :see, answers: :file do
          with_project do |project|
            sheet = sheet(project)
            engine = Basalt::Data::Physical::Engine.named(params[:engine])
            title = Drawings::FileName.plain("#{sheet.name} #{engine.name}")
            download("#{title}.sql", "application/sql", ProofWork.for_engine(project.set, sheet.id, engine).text)
          end
        end

        post "#{SHEET}/engines/:engine/types", needs: :edit, answers: :redirect, makes: "Add, Set" do
          with_project do |project|
            sheet = sheet(project)
            engine = Basalt::Data::Physical::Engine.named(params[:engine])
            types = Basalt::Data::Physical::AgreedTypes.read(params[:types].to_s)
            project.act(said: "agreed on types for #{engine.title}", by: person) do |draft|
              Basalt::Data::Physical::AgreedTypes.agree(draft, engine, types)
            end
            redirect sheet_path(sheet.id, "engines/#{engine.name}")
          end
        end

        # The server is asked in the queue; what is quick is told at once.
        post "#{SHEET}/proof", needs: :edit, answers: :part do
          with_project do |project|
            raise Basalt::Mistake, "There are no tables on this sheet to prove" if script(project.set, sheet(project)).statements.empty?

            engine = params[:engine] && Basalt::Data::Physical::Engine.named(params[:engine]).name
            rows = params[:rows] && row_count
            task = Store::Task.give(project.project_id, "proof", { sheet_id: sheet(project).id, engine:, rows: }.compact, by: person)
            part("#answer", proof(project, task.wait(QUICK)))
          end
        end

        get "#{SHEET}/proofs/:task_id", needs: :see, answers: :part do
          with_project do |project|
            task = Store::Task.find_by(id: id(params[:task_id]), project_id: project.project_id, kind: "proof") or
              raise Refusals::NotFound, "proof"
            proof(project, task)
          end
        end

        # Seconds.
        QUICK = 1

        # What the routes need of the model.
        module Deriving
          # @return [Array(Object, String)] the change and what it is called
          def self.going_back(set, thing, params)
            case params[:into]
            when "entity"
              if thing.kind == "relationship"
                [Basalt::Data::Objectifying.new(id: thing.id), "made #{thing.name} an entity"]
              else
                [Basalt::Data::Promoting.new(id: thing.id), "made #{thing.name} an entity"]
              end
            when "attribute"
              [Basalt::Data::Demoting.new(id: thing.id), "made #{thing.name} an attribute"]
            when "general"
              [Basalt::Data::PullingUp.new(id: thing.id), "pulled #{thing.name} up"]
            when "one"
              [
                Basalt::Data::Merging.new(id: thing.id, other_id: params[:other].to_s),
                "merged #{set.element(params[:other].to_s)&.name} into #{thing.name}"
              ]
            else
              raise Basalt::Mistake, "It cannot be made “#{Basalt::Model::Names.short(params[:into])}”"
            end
          end

          FACTS = [
            *Basalt::Data::Logical::Conventions::CHOICES.keys,
            *Basalt::Data::Logical::Conventions::PATTERNS.keys,
            "language",
            "prefix",
            "longest",
            "types"
          ].freeze
          SAMPLE =
            "sheet S: entities\nentity Work Order\nWork Order has number key, raised at required\nentity Crew\nCrew has code key, phones " \
            "many\nentity Skill\nSkill has code key\n" \
            "a Crew carries out zero or more Work Order; a Work Order \"is carried out by\" exactly one Crew\na Crew holds zero or more " \
            "Skill; a Skill \"is held by\" zero or more Crew"

          # Makes the one convention of a project, or alters it.
          def agree(draft, params)
            kind = Basalt::Data::Logical::Conventions::KIND
            house = draft.of_kind(kind).first || Basalt::Change::Add.new(kind:, name: "House").apply(draft)
            FACTS.each do |fact|
              draft.apply(
                Basalt::Change::Set.new(id: house.id, fact:, value: params[fact].to_s.strip.then { |text| text.empty? ? nil : text })
              )
            end
            house
          end

          # @return [Array<Basalt::Data::Logical::Table>] what a small model would come to
          def sample(_set, params)
            draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new)
            Basalt::Statements::Document.new(SAMPLE).into(draft)
            house = agree(draft, params)
            Basalt::Data::Logical::Mapping.new(draft, conventions: Basalt::Data::Logical::Conventions.new(draft.element(house.id))).tables
          end

          # @return [Basalt::Model::Sheet, nil] the sheet that shows the tables of these entities already
          def target(set, sheet)
            ids = set.things_on(sheet.id).map(&:id)
            tables = set.of_kind("table").select { |table| ids.include?(Basalt::Data::Threads.source(set, table)&.id) }
            tables.flat_map { |table| set.sheets_of(table.id) }.tally.max_by(&:last)&.first&.then { |id| set.sheets[id] }
          end

          def derivation(set, sheet, to = target(set, sheet)&.id)
            Basalt::Data::Logical::Derivation.new(set, sheet_id: to, from: whole? ? nil : sheet.id)
          end

          # @return [Boolean] whether all entities of the project are meant, and not only those of the sheet
          def whole? = params[:of] == "project"

          # @return [String] id of the sheet with the tables
          def derive(project, sheet, keys)
            known = target(project.set, sheet)&.id
            made = nil
            project.act(said: "derived tables from #{sheet.name}", by: person, sheet_id: known || sheet.id) do |draft|
              made =
                known ||
                Basalt::Statements::OpenSheet
                  .of(Basalt::Statements::Context.new(draft), "#{sheet.name} as tables", "tables")
                  .tap { |id| signed(draft, id) }
              derivation(draft, sheet, made).into(draft, keys:)
            end
            project.act(said: "laid out the tables", by: person, sheet_id: made, tidy: true) { nil } unless known
            made
          end

          # @param task [Store::Task]
          def proof(project, task) = view(:proof, sheet: sheet(project), proof: Presenters::ProofState.new(project.set, task))

          # @return [Integer] of sample rows for each table
          def row_count
            text = params.fetch(:rows, Presenters::RowsPage::USUAL.to_s)
            count = Integer(text, 10, exception: false)
            most = Basalt::Data::Physical::Samples::Rows::MOST
            count&.between?(1, most) ? count : raise(Basalt::Mistake, "There are 1 to #{most} rows for each table")
          end

          def script(set, sheet) = ProofWork.script(set, sheet.id)
        end
      end
    end
  end
end
