# frozen_string_literal: true

module Basalt
  module Process
    module Notation
      # The activity table drawn: everybody who takes part as a box that lists what they do, in the
      # order of the rows; a line where something is given to somebody.
      class Activities < Drawing::Notation
        def name = "activities"
        def band = "Context"
        def design? = false
        def told_at_ends?(relation) = relation.kind == "activity"
        def things = %w[party system]
        def lines = %w[activity]
        def examples = ["role Clerk", "Clerk registers the report, processing", "outsider Caller"]
        def chips = [[Kinds::ROLE, "r"], [Kinds::OUTSIDER, "o"], %w[system y]]

        def size(set, thing) = Doer.new(set, thing).size
        def thing_shapes(set, thing, placement) = Doer.new(set, thing).shapes(placement.box)

        # What nobody else gets is in the box alone.
        def labels(set, activity)
          return [] unless Acts.receiver(activity)

          [Drawing::Label.new(role: "middle", text: Drawing::Pens.fit("#{Doer.number(set, activity)} #{activity['gives'] || activity.name}", :verb, 220), style: :verb)]
        end

        def line_shapes(_set, activity, route, _labels) = Acts.receiver(activity) ? super + Drawing::LineEnds::Arrow.shape(route) : []

        def legend
          [["outside: processes no information", :box, :planned, :outside], ["inside", :box, :outline, :inside], ["processes information", :text, "=", "="],
           ["gives", :shapes, Samples.arrow(:line), :gives]]
        end

        def marks(set, element)
          return Acts.receiver(element) ? [:gives] : [] if element.relation?

          [SystemBoundary.new(set).of(element)&.outside? ? :outside : :inside, *("=" if Acts.of(set, element.id).any? { |one| one["processing"] })]
        end

        def computed(set, thing)
          verdict = thing.relation? ? nil : SystemBoundary.new(set).of(thing)
          verdict ? [["stands", "#{verdict.outside? ? 'outside' : 'inside'}#{', decided' if verdict.decided}"]] : []
        end

        def computed_headings(kind) = %w[party system].include?(kind) ? ["stands"] : []

        def lanes? = true

        def tidy(set, sheet_id, only: nil, quick: false, crowded: [])
          things, lines = part(set, sheet_id, only)
          Drawing::LayeredLayout.new(self, set, things, lines.select { |line| Acts.receiver(line) }, quick:, crowded:).placements
        end

        def node(set, thing, level) = Layout::Node.box(thing.id, *size(set, thing), level).with(beside: false)
        def strip = 30

        def candidate_positions(_set, _sheet_id, _thing, size, extent)
          extent ||= Layout::Box.new(x: 0, y: 0, w: 0, h: 0)
          (0..40).lazy.flat_map { |row| (0..5).map { |column| [(extent.x + (column * (size[0] + 120))).round, (extent.y + (row * (size[1] + 90))).round] } }
        end
      end
    end
  end
end
