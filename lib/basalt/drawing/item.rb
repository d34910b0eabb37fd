# frozen_string_literal: true

module Basalt
  module Drawing
    # A group of shapes that stands for one thing, line or label and is drawn, replaced and
    # pointed at as one. +layer+ is one of Scene::LAYERS.
    Item = Value.of(:id, :layer, :element_id, :type, :title, :shapes) do
      def hash = [id, layer, title, shapes].hash
    end
  end
end
