# frozen_string_literal: true

module Web
  module Families
    module Network
      # Takes an inventory in: all of it in one act, or nothing.
      module InventoryWork
        module_function

        # @param task [Store::Task] with the id of the intake and the name of the sheet
        # @return [nil] what it came to is kept with the act
        def call(task)
          intake = Store::Intake.find_by!(id: task.arguments["intake_id"], project_id: task.project_id)
          table = intake.table
          task.report(0, table.rows.length)
          # A session of its own: nobody else has to wait, and what they do meanwhile is compared and set.
          Store::ProjectSession.new(task.project_id).open { |project| take(project, intake, table, task) }
          nil
        end

        # One act, the opening of the sheet along with it: stopped or refused, nothing of it is there.
        def take(project, intake, table, task)
          result = sheet_id = nil
          keep = -> { intake.update!(sheet_id:).then { task.keep(Store::Task::Result.new(values: told(result))) } }
          outcome =
            project.act(said: "brought in #{intake.file_name}", by: task.said_by, patient: true, along: keep) do |draft|
              subject = Basalt::Network::Inventory::Subjects.named(task.arguments.fetch("subject", "things"))
              sheet_id = sheet(draft, task.arguments["sheet_name"], subject.notation, task.said_by)
              fresh = draft.placements_on(sheet_id).empty?
              result =
                Basalt::Network::Inventory::Intake
                  .new(table, intake.mapping, subject)
                  .take(draft, sheet_id:, said_by: intake.file_name) { |done| task.report(done) }
              Basalt::Drawing::Arranger.new(draft, sheet_id).tidy if fresh
            end
          keep.call if outcome.effect.empty?
        end

        # @return [String] id of the sheet of that name, opened where there is none
        def sheet(draft, name, notation, by)
          known = draft.sheets.by(:name, name).first
          return known.id if known

          draft.apply(Basalt::Change::AddSheet.new(name:, notation:, drawn_by: by, dated: Date.today.iso8601))
          draft.sheets.by(:name, name).first.id
        end

        def told(result)
          {
            taken: result.taken,
            remarks: result.remarks.first(200),
            rejected: result.rejected.map { |row| { line: row.line, reason: row.reason, cells: row.cells } }
          }
        end
      end
    end
  end
end
