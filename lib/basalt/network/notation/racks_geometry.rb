# frozen_string_literal: true

module Basalt
  module Network
    module Notation
      # Where racks stand, in a row on one floor, and what is in them, by its units. What is dropped into a rack snaps to whole units; what
      # is in its way there goes up or down, away from where it was dropped.
      class RacksGeometry < Drawing::Geometry
        GAP = 40
        # Of what stands in no rack, px.
        BESIDE = 190

        def initialize(set, sheet_id, was = nil, altered = nil)
          super
          was = nil unless was.is_a?(RacksGeometry)
          @changed = was && altered && RacksTouched.new(set, sheet_id, was, altered)
          @changed&.few? ? follow(was) : survey(was)
          @changed = nil
        end

        attr_reader :racks, :loose_things
        # @return [Hash{String => RackFace}] by id of the rack
        attr_reader :faces

        # @return [Hash{String => Hash}] (see Drawing::Geometry#places)
        def places = @places ||= @racks.map { |rack| contents(rack.id) }.reduce(frames.merge(loose), :merge!)

        # @return [Hash{String => Hash}] places of the racks, which stand on one floor
        def frames
          @frames ||=
            begin
              tallest = @faces.each_value.map(&:frame).max || 0
              x = 0
              @racks.to_h do |rack|
                face = face(rack.id)
                [rack.id, { x:, y: tallest - face.frame, w: face.width, h: face.height }].tap { x += face.width + GAP }
              end
            end
        end

        # @return [Hash{String => Hash}] places of what is in a rack
        def contents(rack_id) = face(rack_id).places(*frames[rack_id].values_at(:x, :y))

        # @return [RackFace]
        def face(rack_id) = @faces.fetch(rack_id)

        # @return [RackFace, nil] of the rack that a thing is in
        def face_of(thing) = @faces[thing.container_id]

        def stacking(thing)
          return {} unless thing.kind == "device"

          face_of(thing)&.elevation&.span(thing) ? { stacks: "yes", stacked: "yes" } : { stacks: "yes" }
        end

        # A thing goes to where it was dropped; a rack to another place in the row.
        def dropped(key, x, y)
          thing = set.element(key)
          return row_of(thing, x) if thing.kind == "place"

          rack = @racks.find { |one| within?(frames[one.id], x) } or return take_out(thing)
          frame = frames[rack.id]
          unit, side = face(rack.id).unit_at(x - frame[:x], y - frame[:y], Racks::Span.height(thing))
          return put(thing, rack, unit, side, y) if unit

          [Change::Set.new(id: key, fact: "container", value: rack.id), Change::Set.new(id: key, fact: "at unit", value: nil)]
        end

        # Things are resized by units from below, racks upwards.
        def sized(key, _width, height)
          thing = set.element(key)
          return [Change::Set.new(id: key, fact: "height", value: rack_units(height))] if thing.kind == "place"

          units = (height / RackFace::UNIT.to_f).round.clamp(1, 60)
          high = Racks::Span.of(thing)&.high
          lower = high && Change::Set.new(id: key, fact: "at unit", value: [high - units + 1, 1].max)
          [Change::Set.new(id: key, fact: "height", value: units), lower].compact
        end

        private

        def survey(was)
          things = set.things_on(sheet_id)
          @racks = in_order(things.select { |one| one.kind == "place" })
          @faces = @racks.to_h { |rack| [rack.id, face_now(rack, was&.faces&.fetch(rack.id, nil))] }
          @loose_things = things.select { |one| one.kind == "device" && !racked?(one) }
        end

        # As long as few racks are touched the others are as they were.
        def follow(was)
          ids = @changed.racks
          @racks = ids.empty? ? was.racks : in_order(was.racks.map { |rack| ids.include?(rack.id) ? set.element(rack.id) : rack })
          @faces = was.faces.merge(ids.to_h { |id| [id, face_now(set.element(id), nil)] })
          @loose_things = was.loose_things
          @places = replaced(was, ids) if frames == was.frames
        end

        # Where all racks stand as they did, what is in the others stands as it did too.
        def replaced(was, ids)
          gone = ids.flat_map { |id| was.contents(id).keys }
          ids.reduce(was.places.except(*gone)) { |places, id| places.merge!(contents(id)) }
        end

        # Nothing else of a rack than what it is and what is in it tells how it is drawn.
        def face_now(rack, known)
          elevation = Racks::Elevation.new(set, rack)
          known&.same?(elevation, from_above?) ? known : RackFace.new(elevation, from_above: from_above?)
        end

        def in_order(racks) = racks.sort_by { |rack| [key(rack), rack.ordinal] }
        def key(rack) = rack["row"] || rack.ordinal
        def racked?(thing) = thing.container_id && set.element(thing.container_id)&.[]("level") == "rack"
        def rack_units(height) = ((height - RackFace::HEAD - RackFace::FOOT) / RackFace::UNIT.to_f).round.clamp(1, 60)

        def loose
          x = frames.each_value.map { |frame| frame[:x] + frame[:w] + GAP }.max || 0
          @loose_things.each_with_index.to_h do |thing, index|
            [thing.id, { x:, y: RackFace::HEAD + (index * (RackFace::UNIT + 8)), w: BESIDE, h: RackFace::UNIT }]
          end
        end

        def within?(frame, x) = x + (RackFace::WIDE / 2) >= frame[:x] && x + (RackFace::WIDE / 2) <= frame[:x] + frame[:w]

        def take_out(thing)
          return [] unless thing.container_id

          [Change::Set.new(id: thing.id, fact: "at unit", value: nil), Change::Set.new(id: thing.id, fact: "container", value: nil)]
        end

        def put(thing, rack, unit, side, y)
          rear = side == :rear || nil
          faced = thing.with(facts: thing.facts.merge("rear" => rear).compact)
          units = face(rack.id).elevation.pushed(faced, unit, direction(rack, faced, unit, y))
          [
            Change::Set.new(id: thing.id, fact: "container", value: rack.id),
            (Change::Set.new(id: thing.id, fact: "rear", value: rear) if thing["half depth"]),
            *units.map { |id, to| Change::Set.new(id:, fact: "at unit", value: to) }
          ].compact
        end

        # What it was dropped on the lower part of goes up.
        def direction(rack, thing, unit, y)
          met = face(rack.id).elevation.in_the_way(thing, unit)
          return 1 if met.empty?

          up = y + (Racks::Span.height(thing) * RackFace::UNIT / 2.0) >= middle(rack, met) ? 1 : -1
          from_above? ? -up : up
        end

        # @return [Float] px, of what stands there
        def middle(rack, things)
          boxes = things.map { |one| face(rack.id).place(one, 0, frames[rack.id][:y]) }
          boxes.sum { |box| box[:y] + (box[:h] / 2.0) } / boxes.length
        end

        def from_above?
          @from_above = Cabling::Rules.of(set)&.[]("rack units") == "from above" if @from_above.nil?
          @from_above
        end

        def row_of(rack, x)
          others = @racks - [rack]
          place = others.count { |one| frames[one.id][:x] + (frames[one.id][:w] / 2) < x + (frames[rack.id][:w] / 2) }
          return [] if @racks.index(rack) == place

          keys = Change::OrderKey.among(others.map { |one| key(one) }, place)
          (keys.one? ? [rack] : others.insert(place, rack))
            .zip(keys).map { |one, order| Change::Set.new(id: one.id, fact: "row", value: order.to_s) }
        end
      end
    end
  end
end
