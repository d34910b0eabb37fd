# frozen_string_literal: true

module Web
  module Families
    module Process
      module Presenters
        # What is done with an activity table, or a drawing of flows, as a whole.
        class SheetPanel
          def initialize(sheet:, **)
            @sheet = sheet
          end

          def activities? = @sheet.notation_name == "activities"
          def flows? = Basalt::Process::LevelSheet::FLOWS.include?(@sheet.notation_name)

          # @return [Boolean] whether processes are drawn as rounded boxes
          def boxes? = @sheet.variant == "boxes"
        end
      end
    end
  end
end
