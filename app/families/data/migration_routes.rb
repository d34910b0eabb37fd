# frozen_string_literal: true

module Web
  module Families
    module Data
      # From one state of the tables of a sheet to how they stand now.
      module MigrationRoutes
        extend Routing

        SHEET = EditRoutes::SHEET

        helped_by :Migrations

        get "#{SHEET}/migration", needs: :see, answers: :page do
          with_project do |project|
            erb(:migration, locals: { project:, sheet: sheet(project), start: Presenters::MigrationStart.new(project) })
          end
        end

        # From an act of the journal, from a database or a script that was read, or from a script that is brought now.
        post "#{SHEET}/migrations", needs: :edit, answers: :redirect, makes: "a comparison" do
          with_project do |project|
            arguments = { sheet_id: sheet(project).id, **before(project) }
            task = Store::Task.give(project.project_id, "migration", arguments, by: person)
            redirect sheet_path(sheet(project).id, "migrations/#{task.id}")
          end
        end

        get "#{SHEET}/migrations/:task_id", needs: :see, answers: :page do
          with_project do |project|
            migration = Presenters::MigrationPage.new(project.set, migration_task)
            erb(:migration_result, locals: { project:, sheet: sheet(project), migration: })
          end
        end

        get "#{SHEET}/migrations/:task_id/progress", needs: :see, answers: :part do
          with_project do |project|
            view(:migration_state, project:, sheet: sheet(project), migration: Presenters::MigrationPage.new(project.set, migration_task))
          end
        end

        get "#{SHEET}/migrations/:task_id/script.sql", needs: :see, answers: :file do
          with_project do |project|
            migration = Presenters::MigrationPage.new(project.set, migration_task)
            download("migration.sql", "application/sql", migration.script(Array(params[:steps]).map(&:to_s)))
          end
        end

        # What an address names.
        module Migrations
          def migration_task
            found = Store::Task.find_by(id: id(params[:task_id]), project_id: id(params[:project_id]), kind: "migration")
            found || raise(Refusals::NotFound, "migration")
          end

          # @return [Hash] where it begins
          def before(project)
            return { intake_id: brought(project) } if params[:schema]
            return { intake_id: known(project) } if params[:intake]

            number = Integer(params[:since].to_s, 10, exception: false)
            raise Basalt::Mistake, "Choose where the migration begins" unless number

            { since: number }
          end

          def known(project) =
            Store::Intake.find_by(id: id(params[:intake]), project_id: project.project_id)&.id || raise(Refusals::NotFound, "schema")

          def brought(project)
            upload = Upload.new(params[:schema], what: "an SQL file", limit: Basalt::Data::Physical::Schema::LIMIT)
            Basalt::Data::Physical::Schema.new(upload.bytes)
            about = { id: SecureRandom.uuid, project_id: project.project_id, file_name: "#{upload.stem}.sql" }
            Store::Intake.create!(content: upload.bytes, **about).id
          end
        end
      end
    end
  end
end
