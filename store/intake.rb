# frozen_string_literal: true

module Store
  # A file that was brought, an inventory or source code, and how it is to be read. Taking it is a task.
  class Intake < ActiveRecord::Base
    self.table_name = "intakes"

    def table = Basalt::Formats::CSV.new(content)

    # @param kind [String] of task
    # @return [Task, nil] that takes it
    def task(kind = "inventory") = Task.where(project_id:, kind:).where("arguments ->> 'intake_id' = ?", id).order(:created_at).last
  end
end
