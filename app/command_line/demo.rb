# frozen_string_literal: true

module CommandLine
  # Brings in the sample organisation.
  module Demo
    FOLDER = File.join(APPLICATION_ROOT, "demo")

    module_function

    # All of it, or nothing: whoever stops it on the way finds no half of it at the next start.
    #
    # @return [Store::Project]
    def load(file = File.join(FOLDER, "tarnwater.basalt"))
      draft = drawn(File.read(file))
      ActiveRecord::Base.transaction do
        Store::Project.open("Tarnwater").tap do |project|
          Store::Repository.new(project.id, said_by: "sample").commit(draft.effect, said: "brought in the sample")
          Web::Extensions.gather(:samples).each { |sample| sample.fill(project, draft, FOLDER) }
        end
      end
    end

    # @return [Basalt::Change::Draft]
    def drawn(text)
      draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new)
      Basalt::Statements::Document.new(text).into(draft)
      draft.sheet_list.each { |sheet| Basalt::Drawing::Arranger.new(draft, sheet.id).tidy(by_hand: true) }
      draft
    end
  end
end
