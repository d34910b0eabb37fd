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

    def pixels(svg, scale, longest)
      header = svg.match(/<svg [^>]*width="([\d.]+)" height="([\d.]+)"/)
      side = header.captures.map(&:to_f).max
      scale = [scale, longest / side].min
      Vips::Image.svgload_buffer(svg, scale:, unlimited: true).flatten(background: [247, 244, 236])
    end
  end
end
