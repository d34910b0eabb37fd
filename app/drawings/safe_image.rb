# frozen_string_literal: true

require "loofah"

module Drawings
  # An image that somebody brings in, made safe: PNG is written anew, of SVG only shapes, texts
  # and their looks are kept (SvgScrubber).
  class SafeImage
    LIMIT = 5_000_000
    SIDE = 4000
    NODES = 20_000
    # Marks in the text of an SVG, before it is parsed: where elements begin and end, and entities.
    MARKS = 60_000
    TOO_LARGE = "The SVG is too deep or too large"

    # The image cannot be taken.
    class Unfit < Basalt::Mistake
    end

    # @param bytes [String]
    # @raise [Unfit]
    def initialize(bytes)
      raise Unfit, "The image is larger than #{LIMIT / 1_000_000} MB" if bytes.bytesize > LIMIT

      bytes.b.start_with?("\x89PNG".b) ? png(bytes) : svg(bytes)
    end

    # +width+ and +height+ in px; +type+ of the content.
    attr_reader :content, :type, :width, :height

    private

    def png(bytes)
      @content, @width, @height = Raster.anew(bytes, SIDE)
      @type = "image/png"
    end

    def svg(bytes)
      text = bytes.dup.force_encoding("UTF-8")
      raise Unfit, "This is neither PNG nor SVG" unless text.valid_encoding? && text.match?(/<svg[\s>]/)
      raise Unfit, "An SVG with a document type or entities is not taken" if text.match?(/<!(DOCTYPE|ENTITY)/i)
      raise Unfit, TOO_LARGE if text.count("<&") > MARKS

      root = parsed(text)
      measure(root)
      raise Unfit, TOO_LARGE if SvgShapes.new(root).count > NODES

      @content = "<?xml version=\"1.0\" encoding=\"UTF-8\"?>#{scrubbed(root).to_xml(save_with: Nokogiri::XML::Node::SaveOptions::AS_XML)}"
      @type = "image/svg+xml"
    end

    # Nothing is fetched and no entity is replaced; the parser has its own bounds besides.
    def parsed(text)
      root = Nokogiri.XML(text) { |options| options.strict.nonet }.root
      root&.name == "svg" ? root : raise(Unfit, "This is neither PNG nor SVG")
    rescue Nokogiri::XML::SyntaxError
      raise Unfit, "The SVG is not well formed"
    end

    # What the image says of SVG is in SVG's name, also where the file named none.
    def scrubbed(root)
      root.default_namespace = SvgScrubber::NAMESPACE unless root.namespace
      SvgScrubber.new.traverse(root)
      root
    end

    def measure(root)
      box = root["viewBox"].to_s.split(/[\s,]+/).map(&:to_f)
      sides = %w[width height].map { |side| root[side].to_s[/\A[\d.]+(?=(px)?\z)/]&.to_f }
      @width, @height = sides.all? { |side| side&.positive? } ? sides : box.values_at(2, 3)
      raise Unfit, "The SVG says neither its size nor a viewBox" unless [@width, @height].all? { |side| side&.between?(1, 1e5) }
    end
  end
end
