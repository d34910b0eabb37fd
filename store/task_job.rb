# frozen_string_literal: true

require "que"

module Store
  # A place in the queue for a task. What is through already is not done again.
  class TaskJob < Que::Job
    def run(task_id)
      task = Task.find_by(id: task_id)
      task.work if task && !task.finished?
      finish
    end
  end
end
