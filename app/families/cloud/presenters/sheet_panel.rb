# frozen_string_literal: true

module Web
  module Families
    module Cloud
      module Presenters
        # What can be done with a cloud sheet as a whole.
        class SheetPanel
          def initialize(project:, sheet:)
            @project = project
            @sheet = sheet
          end

          def cloud? = @sheet.notation_name == Basalt::Cloud::Notation::Architecture::NAME
        end
      end
    end
  end
end
