# frozen_string_literal: true

module Basalt
  module Drawing
    # Items by layer, each written as SVG but for what shows an image: an image that several show is in a document once, and only who
    # has all of them can tell.
    class Fragment
      def initialize
        @layers = Scene::LAYERS.to_h { |layer| [layer, []] }
        @words = {}
      end

      # @param item [Item] that lies before what was put into its layer until now
      def <<(item)
        @layers.fetch(item.layer) << (note(item.shapes) ? item : SVG.group(item))
      end

      # @return [Array<String>] what its words are written with
      def letters = @words.keys.join.chars.uniq.sort

      # @return [Array<Item>] that show an image
      def pictured = @layers.each_value.flat_map { |groups| groups.grep(Item) }

      # @yieldparam item [Item] that shows an image
      # @yieldreturn [Item] in its place
      # @return [String] the layers, in order from behind to before
      def svg
        written = ->(one) { one.is_a?(Item) ? SVG.group(yield(one)) : one }
        @layers.map { |layer, groups| "<g id=\"layer-#{layer}\">#{groups.map(&written).join("\n")}</g>" }.join("\n")
      end

      private

      # @return [Boolean] whether an image is among the shapes
      def note(shapes)
        image = false
        shapes.each do |shape|
          case shape[0]
          when :text then @words[shape[3].to_s] = true
          when :image then image ||= !shape[1].nil?
          when :part then note(shape[2])
          end
        end
        image
      end
    end
  end
end
