# frozen_string_literal: true

module Basalt
  module Process
    module Notation
      # What both symbols of a process tell: its number, its name, who does it, and whether it is
      # outside of what the sheet is about.
      class ProcessSymbol
        S = Drawing::Shapes
        P = Drawing::Pens

        # @param sheet [Model::Sheet, nil] on which it is drawn
        def initialize(set, process, sheet: nil)
          @process = process
          @number = Levels.number(set, process)
          @outside = sheet&.subject_id && sheet.subject_id != process.id && !Levels.within?(set, process.id, sheet.subject_id)
          @performer = sheet&.band == "Physical" ? process["performer"] : nil
        end

        private

        # @return [Symbol] the pen of its outline
        def outline
          return :planned if @outside

          @process.assumed ? :assumed : :outline
        end
      end
    end
  end
end
