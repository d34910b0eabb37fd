# frozen_string_literal: true

# librsvg finds the shipped typefaces through this; it has to stand before libvips starts.
ENV["FONTCONFIG_FILE"] ||= Drawings::Fonts::CONFIGURATION
require "vips"

module Drawings
  # Turns SVG into pixels.
  module Raster
    module_function

    # @param svg [String]
    # @param scale [Float] pixels for each px of the drawing
    # @param longest [Integer] a larger picture is made smaller, to this many pixels at its longer side
    # @return [String] PNG
    def png(svg, scale, longest) = pixels(svg, scale, longest).write_to_buffer(".png")

    # @return [String] JPEG
    def jpg(svg, scale, longest) = pixels(svg, scale, longest).write_to_buffer(".jpg", Q: 92, strip: true)

    # A PNG written again from its pixels alone.
    #
    # @param most [Integer] pixels at a side
    # @return [Array(String, Integer, Integer)] content, width and height
    # @raise [SafeImage::Unfit]
    def anew(bytes, most)
      image = Vips::Image.pngload_buffer(bytes)
      raise SafeImage::Unfit, "The image has more than #{most} pixels at a side" if [image.width, image.height].max > most

      [image.write_to_buffer(".png", strip: true), image.width, image.height]
    rescue Vips::Error
      raise SafeImage::Unfit, "This is no PNG that can be read"
    end

    def pixels(svg, scale, longest)
      header = svg.match(/<svg [^>]*width="([\d.]+)" height="([\d.]+)"/)
      side = header.captures.map(&:to_f).max
      scale = [scale, longest / side].min
      Vips::Image.svgload_buffer(svg, scale:, unlimited: true).flatten(background: [247, 244, 236])
    end
  end
end
