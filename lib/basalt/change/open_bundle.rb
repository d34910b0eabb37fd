# frozen_string_literal: true

module Basalt
  module Change
    # Draws the lines of a bundle one by one on a sheet, or as one again.
    OpenBundle = Value.of(:sheet_id, :element_id, :open) do
      def apply(draft)
        drawn = Drawing::AsDrawn.of(draft, sheet_id)
        lines = drawn.respond_to?(:bundled) ? drawn.bundled(draft.element(element_id)) : []
        raise Mistake, "this is no bundle of several lines on this sheet" if lines.length < 2

        lines.each { |line| mark(draft, line) }
      end

      private

      def mark(draft, line)
        Show.new(sheet_id:, element_id: line.id).apply(draft) unless draft.placement(sheet_id, line.id)
        placement = draft.placement(sheet_id, line.id)
        shape = (placement.shape || {}).merge("open" => open ? true : nil).compact
        Arrange.new(placement_id: placement.id, to: { shape: shape.empty? ? nil : shape }).apply(draft)
      end
    end
  end
end
