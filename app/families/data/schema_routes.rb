# frozen_string_literal: true

module Web
  module Families
    module Data
      # Schemas that exist: as a script, or read from a database that is there.
      module SchemaRoutes
        extend Routing

        SCHEMAS = "/projects/:project_id/schemas"

        helped_by :Schemas

        # A schema written in SQL becomes tables on a sheet of their own.
        post SCHEMAS, needs: :edit, answers: :page, makes: "AddSheet, Add, Show" do
          upload = Upload.new(params[:schema], what: "an SQL file", limit: Basalt::Data::Physical::Schema::LIMIT)
          with_project { |project| bring_in(project, Basalt::Data::Physical::Schema.new(upload.bytes), upload.stem.tr("_", " ")) }
        end

        # A database is read; role and password are used for that and kept nowhere.
        post "#{SCHEMAS}/pulls", needs: :edit, answers: :redirect, makes: "a pull" do
          with_project do |project|
            host, port = Databases.check(params[:server])
            raise Basalt::Mistake, "Say database, role and password" if %i[database role password].any? { |one| params[one].to_s.strip.empty? }

            address = { host:, port:, dbname: params[:database].strip, user: params[:role].strip, password: params[:password] }
            task = SchemaPullWork.begin(project.project_id, address, by: person)
            redirect project_path(project.project_id, "schemas/pulls/#{task.id}")
          end
        end

        get "#{SCHEMAS}/pulls/:task_id", needs: :see, answers: :page do
          with_project do |project|
            pull = Presenters::SchemaPull.new(schema_pull)
            halt redirect(project_path(project.project_id, "schemas/#{pull.intake_id}")) if pull.intake_id

            erb(:schema_pull, locals: { project:, pull: })
          end
        end

        get "#{SCHEMAS}/pulls/:task_id/progress", needs: :see, answers: :part do
          with_project { |project| view(:schema_pull_state, project:, pull: Presenters::SchemaPull.new(schema_pull)) }
        end

        post "#{SCHEMAS}/pulls/:task_id/cancel", needs: :edit, answers: :redirect, makes: "a pull that stops" do
          schema_pull.cancel
          redirect project_path(params[:project_id], "schemas/pulls/#{params[:task_id]}")
        end

        # What came is looked at before anything of it is taken.
        get "#{SCHEMAS}/:intake_id", needs: :see, answers: :page do
          with_project do |project|
            page = Presenters::SchemaIntake.new(project.set, schema_intake, Store::Task.where(project_id: project.project_id))
            erb(:schema_intake, locals: { project:, schema: page })
          end
        end

        post "#{SCHEMAS}/:intake_id/take", needs: :edit, answers: :page, makes: "AddSheet, Add, Show" do
          intake = schema_intake
          with_project do |project|
            bring_in(project, Basalt::Data::Physical::Schema.new(intake.content), File.basename(intake.file_name, ".sql").tr("_", " "))
          end
        end

        # What an address names, and what becomes of it.
        module Schemas
          def schema_pull
            found = Store::Task.find_by(id: id(params[:task_id]), project_id: id(params[:project_id]), kind: SchemaPullWork::KIND)
            found || raise(Refusals::NotFound, "pull")
          end

          def schema_intake
            found = Store::Intake.find_by(id: id(params[:intake_id]), project_id: id(params[:project_id]))
            found&.file_name.to_s.end_with?(".sql") ? found : raise(Refusals::NotFound, "schema")
          end

          # @param read [Basalt::Data::Physical::Schema]
          def bring_in(project, read, name)
            raise Basalt::Mistake, "There is no statement in the file" if read.empty?

            told = made = nil
            project.act(said: "brought in the schema #{name}", by: person) do |draft|
              made = Basalt::Statements::OpenSheet.of(Basalt::Statements::Context.new(draft), name, "tables")
              told = read.into(draft, sheet_id: made)
            end
            project.act(said: "laid out the tables", by: person, sheet_id: made, tidy: true) { nil }
            sheet = project.set.sheets[made]
            erb(:schema, locals: { project:, sheet:, schema: Presenters::SchemaPage.new(project.set, sheet, told, read.left_out) })
          end
        end
      end
    end
  end
end
