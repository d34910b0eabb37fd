# frozen_string_literal: true

module Web
  # Makes the file of a large sheet.
  module ExportWork
    # Things and lines of a sheet from which on its files are made in the queue.
    LARGE = 800

    module_function

    # @param task [Store::Task] with the +sheet_id+, the +type+, the +ground+, what was +chosen+ and the +paper+
    # @return [Store::Task::Result]
    def call(task)
      wanted = task.arguments
      task.report(0, 2)
      Store::ProjectSession
        .for(task.project_id)
        .open do |project|
          export =
            SheetExport.new(
              project,
              wanted["sheet_id"],
              type: wanted["type"],
              ground: wanted["ground"],
              chosen: wanted["chosen"],
              paper: wanted["paper"]
            )
          svg = export.svg
          task.report(1)
          Store::Task::Result.new(values: {}, content: export.file(svg), content_type: export.content_type, file_name: export.name)
        end
    end
  end
end
