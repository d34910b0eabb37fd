# frozen_string_literal: true

module Basalt
  module Cloud
    module Notation
      # Cloud sheets: boundaries within each other, resources in them as slabs, and what joins these.
      class Architecture < Drawing::Notation
        NAME = "cloud"
        P = Drawing::Pens
        S = Drawing::Shapes
        # How high a fact is in a label, px.
        FACT = 14
        # Wide enough for most of what is said of a line, px.
        WORDS = 200

        def name = NAME
        def things = [Kinds::BOUNDARY, Kinds::RESOURCE]
        def lines = [Kinds::CONNECTION]
        def told = [Kinds::RULE, Kinds::ROUTE, Kinds::GOVERNANCE]
        def boundaries = [Kinds::BOUNDARY]
        def joins?(_thing) = true
        def walked?(thing) = thing.kind == Kinds::RESOURCE && !Services::UNWALKED.include?(thing["service"])
        def within?(_kind) = true
        def lanes? = true

        def examples = ["subnet app-a 10.60.1.0/24, zone a", "relational store readings in app-a", "machine web in app-a at 10.60.1.10"]

        # The rest is found by typing what it is there for.
        def chips = [%w[network n], %w[subnet u], %w[machine m], %w[function f], ["load balancer", "b"], %w[queue q], %w[internet i]]

        def size(_set, thing)
          return [[BoundaryBox.new(thing).label_width + 40, 160].max, 80] if thing.kind == Kinds::BOUNDARY

          facts = ShownFacts.words(thing)
          [[line(thing), *facts].map { |words| Drawing::Slab.width(thing.name, words) }.max, Drawing::Slab::HEIGHT + (FACT * facts.length)]
        end

        def sizable?(_thing) = true
        def sized(set, thing, _placement, width, _height) = { w: [width, size(set, thing)[0]].max }

        # The second line of a slab: where it is on the network, else what it is.
        def line(thing)
          return "outside" if thing.noun == thing.name

          [thing.noun, thing["address"], ("public" if thing["public"])].compact.join(" ")
        end

        def thing_shapes(_set, thing, placement)
          return BoundaryBox.new(thing).shapes(placement.box) if thing.kind == Kinds::BOUNDARY

          box = placement.box
          slab = Drawing::Slab.shapes(box, name: thing.name, line: line(thing), glyph: thing.noun, seam: seam(thing), pen: outline(thing))
          slab + fact_shapes(thing, box)
        end

        def boundary_words(thing) = BoundaryBox.new(thing).label_width
        def boundary_shapes(_set, thing, placement) = BoundaryBox.new(thing).shapes(placement.box)
        def closed_size(_set, thing, count) = BoundaryBox.new(thing).closed_size(count)
        def closed_shapes(_set, thing, placement, count) = BoundaryBox.new(thing).closed(placement.box, count)

        def labels(_set, line)
          words = [line["label"], *verb(line), *TrafficText.words(line["protocol"], line["ports"]).then { |text| text unless text.empty? }]
          words.compact.empty? ? [] : [Drawing::Label.new(role: "middle", text: P.fit(words.compact.join(" "), :label, WORDS))]
        end

        def pen(line)
          return :planned_line if line["taken"] || line.assumed
          return :circuit if line["verb"] == Verbs::JOINED

          :line
        end

        def line_shapes(_set, line, route, _labels)
          return super if line["verb"] == Verbs::JOINED

          super + Drawing::LineEnds::Arrow.shape(route) + (line["both"] ? Drawing::LineEnds::Arrow.shape(route.reverse) : [])
        end

        def legend = Samples::ALL
        def marks(_set, element) = Samples.marks(element)

        # On sheets of more than this less is tried for each boundary: there are very many of them.
        MANY = 2000
        private_constant :MANY

        def tidy(set, sheet_id, only: nil, quick: false, crowded: [])
          quick ||= set.placed_count(sheet_id) > MANY
          Drawing::CompoundLayout.new(self, set, sheet_id, only:).placements do |things, lines, sizes|
            DirectedLayout.new(self, set, things, lines, quick:, crowded:, sizes:).placements
          end
        end

        def candidate_positions(set, sheet_id, thing, size, extent) =
          Drawing::Near.new(set, sheet_id, thing, size, extent, [90, 60]).candidate_positions

        # @return [Layout::Node] to lay out
        def node(set, thing, level) = Layout::Node.box(thing.id, *size(set, thing), level)

        # @return [Integer] room for the signs at the ends of lines, px
        def strip = 26

        private

        # Facts that were chosen for its label stand beneath, a line each.
        def fact_shapes(thing, box)
          ShownFacts.words(thing).each_with_index.map do |words, index|
            left = box.x + Drawing::Slab::TEXT_AT
            S.text(left, box.y + 49 + (FACT * index), P.fit(words, :identifier, box.right - left - 10), :identifier)
          end
        end

        # A line that only connects is told by its arrow.
        def verb(line) = [line["verb"]].compact - [Verbs::PLAIN, Verbs::JOINED]
        def seam(thing) = Services::SEAMS.fetch(thing["service"], :graphite)
        def outline(thing) = thing.assumed ? :assumed : :outline
      end
    end
  end
end
