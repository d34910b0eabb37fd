# frozen_string_literal: true

module Basalt
  module Data
    module Notation
      # The open triangle at a general entity.
      module Triangle
        LONG = 12
        HALF = 7

        # @param points [Array] the line, from the general entity on
        def self.path(points)
          corners = [
            points.first,
            Drawing::LineEnds::CrowsFoot.at(points, LONG, -HALF),
            Drawing::LineEnds::CrowsFoot.at(points, LONG, HALF)
          ]
          Drawing::Shapes.path("#{Drawing::Shapes.data(corners)}Z", :outline)
        end
      end
    end
  end
end
