# frozen_string_literal: true

module Store
  # An inventory that was brought, and by which columns it is to be read. Taking it is a task.
  class Intake < ActiveRecord::Base
    self.table_name = "intakes"

    def table = Basalt::Formats::CSV.new(content)

    # @return [Task, nil] that takes it
    def task = Task.where(project_id:, kind: "inventory").where("arguments ->> 'intake_id' = ?", id).order(:created_at).last
  end
end
