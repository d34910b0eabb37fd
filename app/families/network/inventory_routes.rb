# frozen_string_literal: true

module Web
  module Families
    module Network
      # Bringing in an inventory: upload, mapping with a preview, taking it with progress, and the
      # rows that were rejected.
      module InventoryRoutes
        extend Routing

        PATH = "/projects/:project_id/intakes"

        helped_by :Intaking

        post PATH, needs: :edit, answers: :redirect, makes: "an intake" do
          with_project do |project|
            redirect project_path(project.project_id, "intakes/#{Intaking.receive(project.project_id, params[:file]).id}")
          end
        end

        get "#{PATH}/:intake_id", needs: :see, answers: :page do
          with_project do |project|
            intake = intake()
            task = intake.task
            next erb(:intake_progress, locals: { project:, intake:, state: Presenters::IntakeState.new(intake, task) }) if task

            inventory = Presenters::IntakePage.new(project.set, intake.table, mapping(intake), inventory_subject(intake))
            erb(:intake, locals: { project:, intake:, inventory:, sheet_name: params[:sheet_name] || Intaking.title(intake) })
          end
        end

        post "#{PATH}/:intake_id/preview", needs: :edit, answers: :part do
          with_project do |project|
            intake = intake()
            subject = inventory_subject(intake)
            view(:intake_preview, inventory: Presenters::IntakePage.new(project.set, intake.table, chosen(params, subject), subject))
          end
        end

        post "#{PATH}/:intake_id/take", needs: :edit, answers: :redirect, makes: "Add, Show, Set" do
          with_project do |project|
            intake = intake()
            halt redirect(project_path(project.project_id, "intakes/#{intake.id}")) if intake.task

            subject = inventory_subject(intake)
            mapping = chosen(params, subject)
            subject.check(mapping, intake.table.headings)
            name = Basalt::Model::Names.clean(params[:sheet_name])
            intake.update!(mapping:)
            Store::Task.give(intake.project_id, "inventory", { intake_id: intake.id, sheet_name: name, subject: subject.name }, by: person)
            redirect project_path(project.project_id, "intakes/#{intake.id}")
          end
        end

        get "#{PATH}/:intake_id/progress", needs: :see, answers: :part do
          task = intake().task or raise ActiveRecord::RecordNotFound, "nobody takes it yet"
          view(:intake_state, state: Presenters::IntakeState.new(intake(), task))
        end

        post "#{PATH}/:intake_id/cancel", needs: :edit, answers: :redirect, makes: "an intake that stops" do
          intake().task&.cancel
          redirect project_path(params[:project_id], "intakes/#{params[:intake_id]}")
        end

        get "#{PATH}/:intake_id/rejected.csv", needs: :see, answers: :file do
          intake = intake()
          content_type "text/csv"
          attachment "rejected-rows.csv"
          rows = (intake.task&.result || {}).fetch("rejected", []).map { |row| [row["line"], row["reason"], *row["cells"]] }
          Basalt::Formats::CSV.write([["line", "reason", *intake.table.headings], *rows])
        end

        # What the routes share.
        module Intaking
          class << self
            # @raise [Basalt::Mistake] before anything is kept of a file that is no table
            def receive(project_id, file)
              upload = Upload.new(file, limit: Basalt::Formats::CSV::LIMIT)
              Basalt::Formats::CSV.new(upload.bytes)
              Store::Intake.create!(id: SecureRandom.uuid, project_id:, content: upload.bytes, file_name: upload.name)
            rescue Basalt::Formats::CSV::Unreadable => e
              raise Basalt::Mistake, "#{upload.name(60)}: #{e.message}"
            end

            def title(intake)
              File.basename(intake.file_name, ".*").tr("_", " ").strip.then { |name| name.empty? ? "Inventory" : name.capitalize }
            end
          end

          def intake
            Store::Intake.find_by(id: id(params[:intake_id]), project_id: id(params[:project_id])) or
              raise Refusals::NotFound, "intake"
          end

          def mapping(intake) = intake.mapping || inventory_subject(intake).guess(intake.table.headings)

          # @return [Basalt::Network::Inventory::Subject] what the rows are about, as chosen or guessed
          def inventory_subject(intake)
            known = Basalt::Network::Inventory::Subjects
            params[:subject].to_s.empty? ? known.guess(intake.table.headings) : known.named(params[:subject].to_s)
          end

          # @return [Hash{String => Integer}] field to column, as chosen
          def chosen(params, subject)
            subject.fields.each_with_object({}) do |field, found|
              column = Integer(params["column_#{field.tr(" ", "_")}"].to_s, 10, exception: false)
              found[field] = column if column
            end
          end

          def intake_path(intake, rest) = project_path(intake.project_id, "intakes/#{intake.id}/#{rest}")
        end
      end
    end
  end
end
