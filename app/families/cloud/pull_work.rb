# frozen_string_literal: true

module Web
  module Families
    module Cloud
      # Reads an account for somebody who gave key and secret on a page. They are in the memory of this process for as long as that
      # takes, and nowhere else: the task tells where from, and what came is an intake as if it had been brought as a file.
      module PullWork
        KIND = "cloud-pull"

        class << self
          # @param endpoint [String]
          # @return [Store::Task] that is under way
          def begin(project_id, endpoint, key, secret, by:)
            collector = Collector.new(endpoint, key, secret)
            Store::Task.here(project_id, KIND, { endpoint: }, by:) { |task| pull(task, collector) }
          rescue Collector::Failed => e
            raise Basalt::Mistake, e.message
          end

          def pull(task, collector)
            found = collector.inventory { |done, total| task.report(done, total) }
            json = JSON.generate(found)
            Basalt::Cloud::Inventory::Reader.new(json)
            intake = Store::Intake.create!(id: SecureRandom.uuid, project_id: task.project_id, content: json,
                                           file_name: "#{found["account"]["name"]}.json")
            Store::Task::Result.new(values: { intake_id: intake.id })
          rescue Collector::Failed => e
            raise Basalt::Mistake, e.message
          end
        end
      end
    end
  end
end
