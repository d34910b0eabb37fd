# frozen_string_literal: true

module Web
  module Families
    module Network
      module Presenters
        # What can be begun from a sheet of a network.
        class SheetPanel
          def initialize(sheet:, **)
            @sheet = sheet
          end

          # @return [Boolean] whether lengths of cables can be estimated from it
          def floor? = @sheet.notation_name == Basalt::Network::Notation::FloorPlan::NAME

          # @return [String, nil] what the button says
          def begins = LevelRoutes::Levels::OTHER[@sheet.notation_name]&.then { |level| "Begin its #{level.title}" }
        end
      end
    end
  end
end
