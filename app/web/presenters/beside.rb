# frozen_string_literal: true

module Web
  module Presenters
    # A sheet that is drawn next to another; its groups have ids of their own.
    class Beside
      # @param scene [Basalt::Drawing::Scene]
      def initialize(scene)
        @scene = scene
      end

      def frame = Coordinates.of(Basalt::Drawing::Furniture.frame(@scene))
      def extent = Coordinates.of(@scene.extent)

      # @return [Array<String>] SVG groups, a layer each
      def layers
        parted = @scene.items.group_by(&:layer)
        Basalt::Drawing::Scene::LAYERS.map do |layer|
          parted.fetch(layer, []).map { |item| Basalt::Drawing::SVG.group(item.with(id: "beside-#{item.id}")) }.join
        end
      end
    end
  end
end
