# frozen_string_literal: true

module Web
  module Families
    module Brief
      module Presenters
        # What is done with requirements as a whole, beside their sheet.
        class SheetPanel
          def initialize(project:, sheet:)
            @set = project.set
            @sheet = sheet
          end

          def requirements? = @sheet.notation_name == "requirements"

          # @return [String, nil] how they are numbered
          def pattern = @set.of_kind("numbering").first&.[]("pattern")
        end
      end
    end
  end
end
