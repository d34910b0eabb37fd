# frozen_string_literal: true

module CommandLine
  # Brings in the sample organisation.
  module Demo
    FOLDER = File.join(APPLICATION_ROOT, "demo")

    module_function

    def load(file = File.join(FOLDER, "tarnwater.basalt"))
      project = Store::Project.open("Tarnwater")
      Store::ProjectSession.for(project.id).open do |desk|
        desk.act(said: "brought in the sample", by: "sample") do |draft|
          Basalt::Statements::Document.new(File.read(file)).into(draft)
          draft.sheet_list.each { |sheet| Basalt::Drawing::Arranger.new(draft, sheet.id).tidy(by_hand: true) }
        end
        words(project, desk.set)
      end
      project
    end

    # What the sources say stands in files of their names.
    def words(project, set)
      set.of_kind("source").each { |source| Store::SourceText.keep(project.id, source.id, 1, File.read(File.join(FOLDER, "sources", "#{source.name}.md")), "sample") }
    end
  end
end
