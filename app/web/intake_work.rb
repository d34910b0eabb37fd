# frozen_string_literal: true

module Web
  # Takes an inventory in, beside the requests: all of it in one act, or nothing.
  module IntakeWork
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

    def run(intake, sheet_name, person)
      result = nil
      # A desk of its own: nobody else has to wait, and what they do meanwhile is compared and set.
      Store::Desk.new(intake.project_id).open { |desk| result = take(desk, intake, sheet_name, person) }
      intake.update!(state: "done", done: intake.total, result: told(result))
    rescue Cancelled
      intake.update!(state: "cancelled")
    rescue Basalt::Mistake => e
      intake.update!(state: "refused", result: { reason: e.message })
    rescue StandardError => e
      warn e.full_message(highlight: false)
      intake.update!(state: "refused", result: { reason: "Something went wrong here. Nothing was taken." })
    end

    def take(desk, intake, sheet_name, person)
      result = nil
      known = desk.set.sheets.by(:name, sheet_name).first
      sheet = known || open_sheet(desk, sheet_name, person)
      intake.update!(sheet_id: sheet.id)
      fresh = desk.set.placements_on(sheet.id).empty?
      desk.act(said: "brought in #{intake.file_name}", by: person, sheet_id: sheet.id, tidy: fresh) do |draft|
        result = Basalt::Network::Inventory::Intake.new(intake.table, intake.mapping)
                                                   .take(draft, sheet_id: sheet.id, said_by: intake.file_name) { |done| report(intake, done) }
      end
      result
    rescue StandardError
      desk.undo(by: person) if sheet && known.nil?
      raise
    end

    def open_sheet(desk, name, person)
      change = Basalt::Change::AddSheet.new(name:, notation: "logical network", drawn_by: person, dated: Date.today.iso8601)
      desk.act(said: "opened the sheet #{name}", by: person) { |draft| draft.apply(change) }
      desk.set.sheets.by(:name, name).first
    end

    def report(intake, done)
      raise Cancelled if Store::Intake.where(id: intake.id).pick(:cancelled)

      Store::Intake.where(id: intake.id).update_all(done:)
    end

    def told(result)
      { taken: result.taken, remarks: result.remarks.first(200),
        rejected: result.rejected.map { |row| { line: row.line, reason: row.reason, cells: row.cells } } }
    end

    # What ran when the process ended has taken nothing.
    def settle_interrupted
      Store::Intake.where(state: "running").update_all(state: "refused", result: { reason: "The server was stopped before it was taken. Nothing was taken." })
    end
  end
end
