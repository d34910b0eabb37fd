# frozen_string_literal: true

module Basalt
  module Drawing
    # A part of a scene by itself: some things, the lines among them, and no frame.
    class Excerpt
      MARGIN = 12

      # @param scene [Scene]
      # @param ids [Array<String>] of elements
      # @raise [Mistake] when none of them is drawn
      def initialize(scene, ids)
        @scene = scene
        @ids = ids.to_set
        @placements = placements
        raise Mistake, "nothing of this is drawn on the sheet" if items.empty?
      end

      def sheet = @scene.sheet
      def items = @items ||= @placements.flat_map { |placement| @scene.items_of(placement) }
      def each_item(&) = items.each(&)

      # @return [Layout::Box]
      def bounds
        boxes = @placements.flat_map { |placement| reach(placement) }
        Layout::Box.around(boxes).grow(MARGIN)
      end

      private

      def placements
        @scene.set.placements_on(sheet.id).select { |placement| wanted?(@scene.set.element(placement.key)) }.sort_by(&:ordinal)
      end

      def wanted?(element)
        @ids.include?(element.id) || (element.relation? && element.targets.all? { |id| @ids.include?(id) })
      end

      def reach(placement)
        return [placement.box, *@scene.notation.obstacles(@scene.set, @scene.set.element(placement.key), placement)] if placement.box

        labels = (placement.route["labels"] || {}).values.map { |x, y| Layout::Box.at(x, y, 60, 20) }
        Layout::Polyline.boxes(placement.route["points"]) + labels
      end
    end
  end
end
