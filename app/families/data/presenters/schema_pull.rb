# frozen_string_literal: true

module Web
  module Families
    module Data
      module Presenters
        # How far the reading of a database is.
        class SchemaPull
          # @param task [Store::Task]
          def initialize(task)
            @task = task
          end

          def id = @task.id
          def where = @task.arguments["where"]
          def state = SchemaPullWork.lost?(@task) ? "lost" : @task.state
          def finished? = @task.finished? || state == "lost"
          def done = @task.done.to_i
          def total = [@task.total.to_i, 1].max
          def reason = @task.result&.fetch("reason", nil)
          def intake_id = @task.state == "done" ? @task.result["intake_id"] : nil
        end
      end
    end
  end
end
