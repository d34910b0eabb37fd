# frozen_string_literal: true

module Drawings
  # How many elements an SVG comes to when it is drawn, with what is used again counted as often as it is used.
  class SvgShapes
    # More than any picture has; what is more is not counted on.
    MOST = 1_000_000
    DEPTH = 60

    # @param root [Nokogiri::XML::Element]
    def initialize(root)
      @root = root
      @by_id = root.xpath("//*[@id]").to_h { |element| [element["id"], element] }
      @counts = {}
    end

    # @return [Integer] elements, at most MOST; a use of what it stands in, or too deep a nesting, comes to MOST
    def count = of(@root, 0)

    private

    def of(element, depth)
      return MOST if depth > DEPTH

      @counts.fetch(element) do
        @counts[element] = MOST
        @counts[element] = [1 + element.element_children.sum { |child| of(child, depth + 1) } + used(element, depth), MOST].min
      end
    end

    def used(element, depth)
      target = element.name == "use" && @by_id[reference(element)] or return 0

      of(target, depth + 1)
    end

    def reference(element)
      element.attribute_nodes.find { |attribute| attribute.node_name == "href" }&.value.to_s.delete_prefix("#")
    end
  end
end
