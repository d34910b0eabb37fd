# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # Communication diagrams (UML 2.5.1, 17.9): the same interaction, as those who take part and what passes between any two of them,
      # numbered by the order.
      class CommunicationDiagram < Drawing::Notation
        include Scripted

        def name = "communication"
        def things = %w[participant]
        def lines = %w[message]
        def joins?(_thing) = true

        # What nobody known says, and what nobody gets, joins nothing here; nor does what somebody asks of themselves.
        def draws_line?(set, relation) =
          lines.include?(relation.kind) && !bundle_name(relation).nil? && !(set.respond_to?(:follower?) && set.follower?(relation))

        # All that passes between two is one line.
        def bundles? = true
        def lanes? = true
        def bundle_name(line) = line.kind == "message" && line["open"].nil? && line.endpoints.uniq.length == 2 ? "messages" : nil
        def together? = true

        def told_at_ends?(_relation) = true
        def size(set, thing) = Speaker.new(set, thing).size
        def thing_shapes(set, thing, placement) = Speaker.new(set, thing).shapes(placement.box)

        def labels(set, line)
          said = MessageList.of(set, line)
          said.empty? ? [] : [Drawing::Label.new(role: "middle", text: said.first.text, style: :verb, figure: MessageList.new(said))]
        end

        def legend = [["asks, tells, answers", :shapes, Samples.line { |points| Drawing::LineEnds::Arrow.shape(points) }, :message]]
        def marks(_set, element) = element.kind == "message" ? [:message] : []

        def tidy(set, sheet_id, only: nil, quick: false, crowded: [])
          things, lines = part(set, sheet_id, only)
          Drawing::LayeredLayout.new(self, set, things, lines, quick:, crowded:).placements
        end

        # @return [Layout::Node] to lay out
        def node(set, thing, level) = Layout::Node.box(thing.id, *size(set, thing), level)

        # @return [Integer] room for the signs at the ends of lines, px
        def strip = 40

        def candidate_positions(set, sheet_id, thing, size, extent) =
          Drawing::Near.new(set, sheet_id, thing, size, extent, [160, 110]).candidate_positions
      end
    end
  end
end
