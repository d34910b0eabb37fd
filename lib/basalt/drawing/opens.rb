# frozen_string_literal: true

module Basalt
  module Drawing
    # The sign at what opens into another sheet: steps that lead down, at its lower right corner.
    module Opens
      MARK = :opens
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
      def shapes(box) = steps(box.right - 9, box.bottom - 8)

      def steps(x, y)
        [Shapes.rect(x - 3, y - 3, 18, 17, :opens_ground), Shapes.path("M#{Shapes.numbers(x, y)}h4v4h4v4h4v3", :opens)]
      end
    end
  end
end
