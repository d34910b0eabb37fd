# frozen_string_literal: true

module Web
  # Makes one file of several sheets.
  module SetWork
    module_function

    # @param task [Store::Task] with the +type+, a key of Drawings::SheetSet::TYPES, and the ids of +sheets+
    # @return [Store::Task::Result]
    def call(task)
      type = task.arguments["type"]
      content = name = nil
      Store::ProjectSession.for(task.project_id).open do |project|
        sheets = sheets(project, task.arguments["sheets"])
        content = file(type, project, sheets) { |done| task.report(done, sheets.length) }
        name = "#{Drawings::FileName.plain(project.name)}.#{type}"
      end
      Store::Task::Result.new(values: {}, content:, content_type: Drawings::SheetSet::TYPES.fetch(type), file_name: name)
    end

    def sheets(project, ids)
      all = project.set.sheet_list
      found = ids ? all.select { |sheet| ids.include?(sheet.id) } : all
      raise Basalt::Mistake, "There is no sheet to export" if found.empty?

      found
    end

    def file(type, project, sheets, &)
      set = Drawings::SheetSet.new(project.set, sheets, findings: project.known_findings, images: Pictures.embedded(project.project_id))
      type == "pdf" ? set.pdf(about: { Title: project.name }, &) : set.zip(&)
    end
  end
end
