# frozen_string_literal: true

require "cgi/escape"

module Basalt
  module Drawing
    # Writes items as SVG 1.1. All text from people passes through +escape+.
    module SVG
      module_function

      # @param text [Object]
      # @return [String] safe as text and as an attribute's value
      def escape(text) = CGI.escapeHTML(text.to_s)

      # @return [String] one group
      def group(item)
        text = +"<g id=\"#{escape(item.id)}\" class=\"#{item.layer} k-#{escape(item.type.tr(" ", "-"))}#{" faint" if item.faint}\""
        text << " data-element=\"#{escape(item.element_id)}\"" if item.element_id
        item.data.each { |name, value| text << " data-#{name}=\"#{escape(value)}\"" }
        text << ">"
        text << "<title>#{escape(item.title)}</title>" if item.title
        text << "<a href=\"#{escape(item.href)}\">" if item.href
        item.shapes.each { |shape| text << shape(shape) }
        text << (item.href ? "</a></g>" : "</g>")
      end

      # @return [String] the layers, in order from behind to before
      def layers(items) = items.each_with_object(Fragment.new) { |item, fragment| fragment << item }.svg { |item| item }

      # @return [String] a document of its own
      #
      # @param scene [Scene, Excerpt] with the +bounds+ to show, and +each_item+
      # @param description [String] the reading, for those who cannot see it
      # @yieldparam letters [Array<String>] what the words are written with
      # @yieldreturn [String] font-face rules to go with it
      def document(scene, description:)
        drawn = Fragment.new
        scene.each_item { |item| drawn << item unless item.type == Scene::WAITING }
        view = Shapes.numbers(*scene.bounds.then { |box| [box.x, box.y, box.w, box.h] }).split
        images = shared(drawn.pictured)
        <<~SVG
          <?xml version="1.0" encoding="UTF-8"?>
          <svg xmlns="http://www.w3.org/2000/svg" width="#{view[2]}" height="#{view[3]}" viewBox="#{view.join(" ")}" role="img" aria-labelledby="title desc">
          <title id="title">#{escape(scene.sheet.name)}</title>
          <desc id="desc">#{escape(description)}</desc>
          <style>#{yield(drawn.letters) if block_given?}#{Pens.stylesheet}</style>
          #{definitions(images)}#{drawn.svg { |item| using(images, item) }}
          </svg>
        SVG
      end

      # An image that several things show is in a document once, and used where it is shown.
      #
      # @return [Hash{Array => String}] ids by address, width and height
      def shared(items)
        tally = items.flat_map { |item| item.shapes.select { |shape| shown?(shape) }.map { |shape| shape.values_at(1, 4, 5) } }.tally
        tally.select { |_, count| count > 1 }.keys.each_with_index.to_h { |key, index| [key, "image-#{index}"] }
      end

      def definitions(images)
        return "" if images.empty?

        defined =
          images.map do |(address, w, h), id|
            "<image id=\"#{id}\" href=\"#{escape(address)}\" width=\"#{Shapes.n w}\" height=\"#{Shapes.n h}\"/>"
          end
        "<defs>#{defined.join}</defs>\n"
      end

      def using(images, item)
        item.with(
          shapes:
            item.shapes.map do |shape|
              shown?(shape) && images[shape.values_at(1, 4, 5)] ? [:use, images[shape.values_at(1, 4, 5)], shape[2], shape[3]] : shape
            end
        )
      end

      def shown?(shape) = shape[0] == :image && !shape[1].nil?

      def shape(shape)
        case shape[0]
        when :path
          "<path class=\"p-#{shape[2]}\" d=\"#{shape[1]}\"/>"
        when :fill
          "<path d=\"#{shape[1]}\" fill=\"#{shape[2]}\"/>"
        when :glyph
          "<path class=\"p-glyph\" transform=\"translate(#{Shapes.n shape[2]} #{Shapes.n shape[3]})\" d=\"#{Glyphs.path(shape[1])}\"/>"
        when :text
          text(shape)
        when :part
          "<g data-part=\"#{escape(shape[1])}\">#{shape[2].map { |inner| shape(inner) }.join}</g>"
        when :image
          image(shape)
        when :use
          "<use href=\"##{shape[1]}\" x=\"#{Shapes.n shape[2]}\" y=\"#{Shapes.n shape[3]}\"/>"
        else
          raise ArgumentError, "there is no shape #{shape.inspect}"
        end
      end

      # What has no address is an empty frame.
      def image((_, address, x, y, w, h))
        return shape(Shapes.path("M#{Shapes.numbers(x, y)}h#{Shapes.n w}v#{Shapes.n h}h#{Shapes.n(-w)}Z", :cell)) unless address

        "<image href=\"#{escape(address)}\" x=\"#{Shapes.n x}\" y=\"#{Shapes.n y}\" width=\"#{Shapes.n w}\" height=\"#{Shapes.n h}\"/>"
      end

      def text((_, x, y, string, style, anchor))
        anchored = anchor == :start ? "" : " text-anchor=\"#{anchor}\""
        "<text class=\"x-#{style}\" x=\"#{Shapes.n x}\" y=\"#{Shapes.n y}\"#{anchored}>#{escape(string)}</text>"
      end
    end
  end
end
