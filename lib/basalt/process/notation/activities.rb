# frozen_string_literal: true

module Basalt
  module Process
    module Notation
      # The activity table drawn: a lane for everybody who takes part, with their rows in the order of the table; an arrow
      # where something is given to somebody.
      class Activities < Drawing::Notation
        # @return [String, nil] what is said over the arrow of a row
        def self.words(activity) = Acts.receiver(activity) && Drawing::Pens.fit(activity["gives"] || activity.name, :verb, 220)

        def name = "activities"
        def walkable? = false
        def band = "Context"
        def design? = false
        def told_at_ends?(relation) = relation.kind == "activity"
        def things = LanesGeometry::KINDS
        def lines = %w[activity]
        def examples = ["role Clerk", "Clerk registers the report, processing", "outsider Caller"]
        def chips = [[Kinds::ROLE, "r"], [Kinds::OUTSIDER, "o"], %w[system y]]

        def ruled? = true
        def geometry(...) = LanesGeometry.new(...)
        def fits?(_thing) = false

        # What it takes before it has a lane.
        def size(set, thing) = [Lane.new(set, thing, []).width, Lane::HEAD]

        def thing_shapes(set, thing, placement)
          geometry = set.geometry
          geometry.lane(thing.id).shapes(placement.box, geometry.heights, geometry.numbers)
        end

        # Between the boxes of a lane there is nothing in the way.
        def obstacles(set, thing, placement)
          return super unless set.respond_to?(:geometry)

          geometry = set.geometry
          geometry.lane(thing.id).boxes(placement.box, geometry.heights)
        end

        # What nobody else gets is in the lane alone.
        def labels(_set, activity)
          words = self.class.words(activity)
          words ? [Drawing::Label.new(role: "middle", text: words, style: :verb)] : []
        end

        def line_shapes(_set, activity, route, _labels) = Acts.receiver(activity) ? super + Drawing::LineEnds::Arrow.shape(route) : []

        def legend
          [
            ["outside: processes no information", :box, :planned, :outside],
            ["inside", :box, :outline, :inside],
            ["processes information", :text, "=", "="],
            ["gives", :shapes, Samples.arrow(:line), :gives]
          ]
        end

        def marks(set, element)
          return Acts.receiver(element) ? [:gives] : [] if element.relation?

          boundary = boundary(set)
          [
            boundary.of(element)&.outside? ? :outside : :inside,
            *("=" if boundary.done_by(element.id).any? { |one| one["processing"] })
          ]
        end

        def computed(set, thing)
          verdict = thing.relation? ? nil : SystemBoundary.new(set).of(thing)
          verdict ? [["stands", "#{verdict.outside? ? "outside" : "inside"}#{", decided" if verdict.decided}"]] : []
        end

        # As it was worked out for the lanes, where they are drawn.
        def boundary(set) = set.respond_to?(:geometry) ? set.geometry.boundary : SystemBoundary.new(set)

        def computed_headings(kind) = LanesGeometry::KINDS.include?(kind) ? ["stands"] : []
      end
    end
  end
end
