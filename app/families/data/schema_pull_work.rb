# frozen_string_literal: true

module Web
  module Families
    module Data
      # Reads the schema of a database for somebody who gave role and password on a page. They are in the memory of this process for as
      # long as that takes, and nowhere else: the task tells where from, and what came is a script as if it had been brought as a file.
      module SchemaPullWork
        KIND = "schema-pull"

        class << self
          # @param address [Hash] see {Store::Dump}
          # @return [Store::Task] that is under way
          def begin(project_id, address, by:)
            where = "#{address[:dbname]} at #{address[:host]}:#{address[:port]}"
            Store::Task.here(project_id, KIND, { where: }, by:) { |task| pull(task, address) }
          end

          def pull(task, address)
            database = Store::LiveDatabase.new(address)
            script = database.script { |done, total| task.report(done, total) }
            intake = Store::Intake.create!(id: SecureRandom.uuid, project_id: task.project_id, content: script,
                                           file_name: "#{address[:dbname]}.sql")
            Store::Task::Result.new(values: { intake_id: intake.id, unreadable: database.unreadable })
          end
        end
      end
    end
  end
end
