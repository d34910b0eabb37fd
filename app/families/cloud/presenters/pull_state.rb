# frozen_string_literal: true

module Web
  module Families
    module Cloud
      module Presenters
        # How far the reading of an account is.
        class PullState
          # @param task [Store::Task]
          def initialize(task)
            @task = task
          end

          def id = @task.id
          def endpoint = @task.arguments["endpoint"]
          def state = PullWork.lost?(@task) ? "lost" : @task.state
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
