# frozen_string_literal: true

# librsvg finds the shipped typefaces through this; it has to stand before libvips starts.
ENV["FONTCONFIG_FILE"] ||= Drawings::Fonts::CONFIGURATION
require "vips"
require "open3"

module Drawings
  # Turns SVG into pixels.
  module Raster
    COMMAND = %w[rsvg-convert --format=png --unlimited].freeze

    # What was drawn once is not kept for the next time.
    Vips.cache_set_max(0)

    # Pixels of a picture: more of them are drawn longer than anybody waits, and no reader opens them.
    MOST = 45_000_000.0

    module_function

    # Drawn in a process of its own, which gives its memory back.
    #
    # @param svg [String]
    # @param scale [Float] pixels for each px of the drawing
    # @param longest [Integer] a larger picture is made smaller, to this many pixels at its longer side, and MOST in all
    # @param ground [String] the colour behind it
    # @return [String] PNG
    def png(svg, scale, longest, ground: Basalt::Drawing::Pens::PAPER)
      sides = svg.match(/<svg [^>]*width="([\d.]+)" height="([\d.]+)"/).captures.map(&:to_f)
      zoom = [scale, longest / sides.max, Math.sqrt(MOST / sides.reduce(:*))].min
      picture, message, status =
        Open3.capture3(
          { "FONTCONFIG_FILE" => Fonts::CONFIGURATION },
          *COMMAND,
          "--zoom",
          zoom.to_s,
          "--background-color",
          ground,
          stdin_data: svg,
          binmode: true
        )
      raise Basalt::Mistake, "The picture could not be drawn: #{message.lines.first.to_s.strip}" unless status.success?

      picture
    end

    # @return [String] JPEG, made of the PNG line by line
    def jpg(svg, scale, longest, ground: Basalt::Drawing::Pens::PAPER)
      Vips::Image.pngload_buffer(png(svg, scale, longest, ground:), access: :sequential).flatten.jpegsave_buffer(Q: 92, strip: true)
    end

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
  end
end
