# frozen_string_literal: true

module Basalt
  module Drawing
    # The sign at what opens into another sheet: steps that lead down, at its upper right corner.
    module OpeningSign
      MARK = :opens
      # What the id of an image begins with that is the small picture of a sheet; the sheet's own follows.
      PICTURE = "sheet:"
      LEGEND = ["opens into a sheet", :shapes, ->(x, y) { steps(x + 12, y - 6) }, MARK].freeze

      module_function

      # @param set [Model::WorkingSet, Model::PinnedSet, Change::Draft, AsDrawn]
      # @return [Array<Model::Opening>] of what an element opens into beside the sheet it is looked at on
      def beneath(set, element, sheet_id)
        return [] unless set.opens?(element.id)

        set.openings(element.id).reject { |opening| opening.sheet.id == sheet_id }
      end

      # @param box [Layout::Box] of the thing
      # @return [Array] shapes
      def shapes(box) = steps(box.right - 7, box.y - 5)

      def steps(x, y)
        [Shapes.rect(x - 2, y - 2, 14, 13, :opens_ground), Shapes.path("M#{Shapes.numbers(x, y)}h3v3h3v3h3v2", :opens)]
      end
    end
  end
end
