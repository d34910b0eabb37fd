# frozen_string_literal: true

module Web
  # What is worked in the queue: how far it is, stopping it, and the file that came of it.
  module TaskRoutes
    extend Routing

    TASK = "/projects/:project_id/tasks/:task_id"

    helped_by :Asked

    get TASK, needs: :see, answers: :page do
      with_project do |project|
        task = task()
        sheet = project.set.sheets[task.arguments["sheet_id"]]
        erb(
          :task,
          locals: {
            project:,
            task:,
            sheet:,
            title: [task.arguments["type"]&.upcase || "File", sheet&.name].compact.join(" of ")
          }
        )
      end
    end

    get("#{TASK}/progress", needs: :see, answers: :part) { view(:task_state, task: task()) }

    post "#{TASK}/cancel", needs: :edit, answers: :redirect, makes: "a task that stops" do
      task().cancel
      redirect project_path(params[:project_id], "tasks/#{params[:task_id]}")
    end

    get "#{TASK}/file", needs: :see, answers: :file do
      found = task()
      raise ActiveRecord::RecordNotFound, "no file came of it" unless found.content

      content_type found.content_type
      attachment found.file_name
      found.content
    end

    # Finding the task that is meant, through its project.
    module Asked
      # @return [Store::Task]
      def task =
        Store::Task.find_by(id: id(params[:task_id]), project_id: id(params[:project_id])) ||
          raise(Refusals::NotFound, "task")
    end
  end
end
