# frozen_string_literal: true

module Basalt
  module Drawing
    module LineEnds
      # The open triangle at what is more general (UML 2.5.1, 9.9.7).
      module Triangle
        LONG = 12
        HALF = 7

        # @param points [Array] the line, from the general end on
        def self.path(points)
          corners = [points.first, CrowsFoot.at(points, LONG, -HALF), CrowsFoot.at(points, LONG, HALF)]
          Shapes.path("#{Shapes.data(corners)}Z", :outline)
        end
      end
    end
  end
end
