# frozen_string_literal: true

require "loofah"

module Drawings
  # Keeps of an SVG what draws and nothing that acts, fetches or refers to anything but itself: of the elements and attributes
  # that are safe, those of still pictures.
  class SvgScrubber < Loofah::Scrubber
    NAMESPACE = "http://www.w3.org/2000/svg"
    ELEMENTS = %w[
      svg
      g
      path
      rect
      circle
      ellipse
      line
      polyline
      polygon
      text
      tspan
      title
      desc
      defs
      linearGradient
      radialGradient
      stop
      clipPath
      use
    ].freeze
    ATTRIBUTES = %w[
      id
      class
      d
      x
      y
      x1
      y1
      x2
      y2
      cx
      cy
      r
      rx
      ry
      dx
      dy
      width
      height
      points
      transform
      viewBox
      preserveAspectRatio
      fill
      fill-opacity
      fill-rule
      stroke
      stroke-width
      stroke-opacity
      stroke-dasharray
      stroke-linecap
      stroke-linejoin
      opacity
      font-family
      font-size
      font-weight
      font-style
      text-anchor
      offset
      stop-color
      stop-opacity
      gradientUnits
      gradientTransform
      clip-path
      clip-rule
      clipPathUnits
      href
    ].freeze

    # Numbers, names, colours and transforms, which refer to nothing.
    PLAIN = %r{\A(?!.*url\()[\w\s#%.,()+/-]*\z}im
    REFERENCE = "href"
    private_constant :PLAIN, :REFERENCE

    def initialize
      super(direction: :top_down)
    end

    # (see Loofah::Scrubber#scrub)
    def scrub(node)
      return CONTINUE if node.text?

      unless node.element? && ELEMENTS.include?(node.name) && [nil, NAMESPACE].include?(node.namespace&.href)
        node.remove
        return STOP
      end

      attributes(node)
      CONTINUE
    end

    private

    def attributes(node)
      node.attribute_nodes.each { |one| one.remove unless ATTRIBUTES.include?(one.node_name) }
      plain = node.attribute_nodes.select { |one| plain?(one) }.to_h { |one| [one.node_name, one.value] }
      Loofah::HTML5::Scrub.scrub_attributes(node)
      plain.each { |name, value| node[name] = value }
      reference(node)
    end

    def plain?(attribute) = attribute.node_name != REFERENCE && PLAIN.match?(attribute.value)

    # Within the image, by whichever name it was written.
    def reference(node)
      found = node.attribute_nodes.select { |one| one.node_name == REFERENCE }
      target = found.map(&:value).find { |value| value.start_with?("#") }
      found.each(&:remove)
      node[REFERENCE] = target if target
    end
  end
end
