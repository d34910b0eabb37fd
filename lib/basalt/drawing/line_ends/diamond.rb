# frozen_string_literal: true

module Basalt
  module Drawing
    module LineEnds
      # The diamond at a whole: filled where its parts are its own, open where they are shared (UML 2.5.1, 11.5.4).
      module Diamond
        LONG = 18
        HALF = 5

        # @param points [Array] the line, from the whole on
        def self.path(points, filled:)
          middle = LONG / 2
          corners = [[0, 0], [middle, -HALF], [LONG, 0], [middle, HALF]].map { |out, side| CrowsFoot.at(points, out, side) }
          outline = "#{Shapes.data(corners)}Z"
          filled ? Shapes.fill(outline, Pens::SLATE) : Shapes.path(outline, :outline)
        end
      end
    end
  end
end
