# frozen_string_literal: true

module Basalt
  module Drawing
    # A group of shapes that stands for one thing, line or label and is drawn, replaced and
    # pointed at as one. +layer+ is one of Scene::LAYERS.
    # +data+ tells programs what the drawing is of: the box of a thing, the ends of a line; +href+ is where it leads in a file. What is
    # +faint+ is drawn pale behind what is meant.
    Item = Value.of(:id, :layer, :element_id, :type, :title, :shapes, :href, :faint, data: {}) do
      def hash = [id, layer, title, shapes, data].hash
    end
  end
end
