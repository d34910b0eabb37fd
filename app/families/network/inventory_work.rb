# frozen_string_literal: true

module Web
  module Families
    module Network
      # Takes an inventory in, beside the requests: all of it in one act, or nothing.
      module InventoryWork
        # Somebody said stop.
        class Cancelled < StandardError; end

        module_function

        # @param intake [Store::Intake]
        # @param sheet_name [String] shown there; the sheet is opened when there is none
        # @return [Thread]
        def start(intake, sheet_name, person)
          Thread.new do
            ActiveRecord::Base.connection_pool.with_connection { run(intake, sheet_name, person) }
          end
        end

        def run(intake, sheet_name, person) = intake.worked_on { work(intake, sheet_name, person) }

        def work(intake, sheet_name, person)
          result = nil
          # A project of its own: nobody else has to wait, and what they do meanwhile is compared and set.
          Store::ProjectSession.new(intake.project_id).open { |project| result = take(project, intake, sheet_name, person) }
          intake.update!(state: "done", done: intake.total, result: told(result))
        rescue Cancelled
          intake.update!(state: "cancelled")
        rescue Basalt::Mistake => e
          intake.update!(state: "refused", result: { reason: e.message })
        rescue StandardError => e
          warn e.full_message(highlight: false)
          intake.update!(state: "refused", result: { reason: "Something went wrong here. Nothing was taken." })
        end

        # One act, the opening of the sheet along with it: stopped or refused, nothing of it is there.
        def take(project, intake, sheet_name, person)
          result = sheet_id = nil
          known = project.set.sheets.by(:name, sheet_name).first
          project.act(said: "brought in #{intake.file_name}", by: person, sheet_id: known&.id, patient: true) do |draft|
            sheet_id = known&.id || open_sheet(draft, sheet_name, person)
            fresh = draft.placements_on(sheet_id).empty?
            result = Basalt::Network::Inventory::Intake.new(intake.table, intake.mapping).take(draft, sheet_id:, said_by: intake.file_name) { |done| report(intake, done) }
            Basalt::Drawing::Arranger.new(draft, sheet_id).tidy if fresh
          end
          intake.update!(sheet_id:)
          result
        end

        def open_sheet(draft, name, person)
          draft.apply(Basalt::Change::AddSheet.new(name:, notation: "logical network", drawn_by: person, dated: Date.today.iso8601))
          draft.sheets.by(:name, name).first.id
        end

        def report(intake, done)
          raise Cancelled if Store::Intake.where(id: intake.id).pick(:cancelled)

          Store::Intake.where(id: intake.id).update_all(done:)
        end

        def told(result)
          { taken: result.taken, remarks: result.remarks.first(200),
            rejected: result.rejected.map { |row| { line: row.line, reason: row.reason, cells: row.cells } } }
        end

        # What nobody works on any more, in whichever process it began, has taken nothing.
        def settle_interrupted = Store::Intake.where(state: "running").each { |intake| settle(intake) }

        def settle(intake)
          return unless intake.lost?

          Store::Intake.where(id: intake.id, state: "running").update_all(state: "refused", result: { reason: "It was stopped before it was taken. Nothing was taken." })
          intake.reload
        end
      end
    end
  end
end
