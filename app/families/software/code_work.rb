# frozen_string_literal: true

module Web
  module Families
    module Software
      # Takes source code, tags or XMI into a project: all of it in one act, or nothing.
      module CodeWork
        MOST_TOLD = 200

        module_function

        # @param task [Store::Task] with the id of the intake, and perhaps the +keys+ of the steps to take
        # @return [nil] what it came to is kept with the act
        def call(task)
          intake = Store::Intake.find_by!(id: task.arguments["intake_id"], project_id: task.project_id)
          file = CodeFile.new(intake.file_name, intake.content)
          Store::ProjectSession.new(task.project_id).open { |project| take(project, intake, file, task) }
          nil
        end

        def take(project, intake, file, task)
          told = nil
          keep = -> { task.keep(Store::Task::Result.new(values: told)) }
          outcome =
            project.act(said: "brought in #{intake.file_name}", by: task.said_by, patient: true, along: keep) do |draft|
              before = count(draft)
              file.into(draft, keys: task.arguments["keys"])
              left = [file.skipped.length - MOST_TOLD, 0].max
              told = { classes: count(draft) - before, skipped: file.skipped.first(MOST_TOLD), left: }
            end
          keep.call if outcome.effect.empty?
        end

        def count(set) = set.of_kind("class", "component", "use case", "actor").length
      end
    end
  end
end
