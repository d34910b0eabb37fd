# frozen_string_literal: true

module Web
  module Families
    module Network
      module Presenters
        # How far an inventory is taken in, and what came of it.
        class IntakeState
          # Rejected rows that are told.
          MOST = 200
          Rejected = Basalt::Value.of(:line, :reason, :words)
          # Rows before the end from which on the sheet is laid out.
          NEARLY = 60
          private_constant :MOST, :NEARLY

          # @param intake [Store::Intake]
          # @param task [Store::Task]
          def initialize(intake, task)
            @intake = intake
            @task = task
            @result = task.result || {}
          end

          def id = @intake.id
          def project_id = @intake.project_id
          def sheet_id = @intake.sheet_id
          def state = @task.state
          def finished? = @task.finished?
          def done = @task.done
          def total = [@task.total, 1].max
          def all_read? = @task.done >= @task.total - NEARLY
          def reason = @result["reason"]
          def taken = @result["taken"]
          def remarks = @result["remarks"]
          def rejected_count = @result["rejected"].length
          def untold = [rejected_count - MOST, 0].max

          # @return [Array<Rejected>] the first ones
          def rejected
            @result["rejected"].first(MOST).map do |row|
              Rejected.new(line: row["line"], reason: row["reason"], words: row["cells"].join(" | "))
            end
          end
        end
      end
    end
  end
end
