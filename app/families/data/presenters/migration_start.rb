# frozen_string_literal: true

module Web
  module Families
    module Data
      module Presenters
        # From where a migration may begin.
        class MigrationStart
          MOST = 40
          # An act that was done, with the number of the one before it.
          Act = Basalt::Value.of(:since, :words, :by, :at)

          def initialize(project)
            @project_id = project.project_id
          end

          # @return [Array<Act>] latest first
          def acts
            Store::JournalEntry.told(@project_id).limit(MOST).map do |entry|
              Act.new(since: entry.number - 1, words: entry.said, by: entry.said_by, at: entry.at)
            end
          end

          # @return [Array<Array(String, String, Time)>] schemas that were read: id, name and when
          def schemas
            found = Store::Intake.where(project_id: @project_id).where("file_name LIKE '%.sql'").order(created_at: :desc).limit(MOST)
            found.pluck(:id, :file_name, :created_at).map { |id, name, at| [id, File.basename(name, ".sql"), at] }
          end
        end
      end
    end
  end
end
