# frozen_string_literal: true

module Web
  # Addresses of pages.
  module Paths
    def project_path(project_id, rest = nil) = "/projects/#{project_id}#{"/#{rest}" if rest}"
    def sheet_path(sheet_id, rest = nil) = project_path(params[:project_id], "sheets/#{sheet_id}#{"/#{rest}" if rest}")
    def task_path(task, rest) = project_path(task.project_id, "tasks/#{task.id}/#{rest}")
  end
end
