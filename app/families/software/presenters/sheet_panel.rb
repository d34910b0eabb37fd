# frozen_string_literal: true

module Web
  module Families
    module Software
      module Presenters
        # What is done with a sheet of software structure as a whole.
        class SheetPanel
          def initialize(project:, sheet:)
            @set = project.set
            @sheet = sheet
          end

          def classes? = @sheet.notation_name == "classes"
          # Addresses on the sheet.
          def skeleton = "skeleton.zip"
          def schema = "schema.json"
          def data? = %w[entities tables].include?(@sheet.notation_name)
          def use_cases? = @sheet.notation_name == "use cases"

          # @return [Basalt::Model::Element, nil] the system whose use cases these are
          def system = @system ||= Basalt::Software::UseCases::Subject.of(@set, @sheet.id)

          # @return [Array<String>] names of the systems there are
          def systems = @set.of_kind("system").map(&:name)

          # @return [QuestionList]
          def questions = @questions ||= QuestionList.new(@set, system)
        end
      end
    end
  end
end
