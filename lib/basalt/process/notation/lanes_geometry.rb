# frozen_string_literal: true

module Basalt
  module Process
    module Notation
      # Where an activity table stands: a lane for everybody who takes part, a row for each activity, in their order. A lane
      # that is dropped between others goes there, and a row that is dropped between others too.
      class LanesGeometry < Drawing::Geometry
        TOP = 16
        GAP = 14
        # px around words over an arrow, and between two boxes of a row.
        AROUND = 22
        BESIDE = 18

        def initialize(set, sheet_id, was = nil, altered = nil)
          super
          things = set.things_on(sheet_id).select { |thing| KINDS.include?(thing.kind) }
          @things = things.sort_by { |thing| [Change::Reorder.key(thing), thing.ordinal] }
          @rows = Acts.sorted(set.relations_on(sheet_id).select { |one| one.kind == "activity" })
          @boundary = SystemBoundary.new(set)
          theirs = @rows.group_by { |row| row.target("who") }
          @lanes = @things.to_h { |thing| [thing.id, Lane.new(set, thing, theirs.fetch(thing.id, []), @boundary)] }
        end

        KINDS = %w[party system].freeze

        # @return [SystemBoundary] who is outside
        attr_reader :boundary

        # @return [Hash{String => Hash}] (see Drawing::Geometry#places)
        def places
          things = @things.to_h { |thing| [thing.id, box(thing)] }
          things.merge(@rows.select { |row| Acts.receiver(row) }.to_h { |row| [row.id, { route: route(row) }] })
        end

        def row_kind = "activity"

        # @return [Lane]
        def lane(thing_id) = @lanes.fetch(thing_id)

        # @return [Hash{String => Integer}] places in the table, by id of the activity
        def numbers = @numbers ||= @rows.each_with_index.to_h { |row, index| [row.id, index + 1] }

        # @return [Hash{String => Numeric}] the middle of each row's box, px, by id of the activity
        def heights
          @heights ||=
            begin
              y = Lane::HEAD + TOP
              @rows.to_h do |row|
                h = @lanes[row.target("who")]&.row_height(row) || Lane::LINE
                middle = y + (h / 2)
                y += h + GAP
                [row.id, middle]
              end
            end
        end

        def dropped(key, x, _y)
          moved = @things.find { |thing| thing.id == key } or return []
          others = @things - [moved]
          middle = x + (@lanes[key].width / 2)
          place = others.count { |thing| middles[thing.id] < middle }
          keys = Change::OrderKey.among(others.map { |thing| Change::Reorder.key(thing) }, place)
          return [] if @things.index(moved) == place

          (keys.one? ? [moved] : others.insert(place, moved))
            .zip(keys)
            .map { |thing, order| Change::Set.new(id: thing.id, fact: "lane", value: order.to_s) }
        end

        def row_dropped(row_id, owner_key, before_id)
          ids = @rows.map(&:id)
          row = @rows.find { |one| one.id == row_id } or return refuse(row_id)
          others = ids - [row_id]
          place = (others.index(before_id) || others.length) + 1
          [*handed_over(row, owner_key), Change::Reorder.new(ids:, id: row_id, place:)]
        end

        private

        # Somebody else does it; what nobody was given stays with who does it.
        def handed_over(row, to)
          return [] if row.target("who") == to || !@lanes.key?(to)

          roles = Acts.receiver(row) ? ["who"] : %w[who to]
          roles.map { |role| Change::Rejoin.new(id: row.id, role:, target_id: to) }
        end

        def box(thing)
          w = @lanes[thing.id].width
          { x: (middles[thing.id] - (w / 2)).round, y: 0, w:, h: height }
        end

        def height = @height ||= (@rows.empty? ? Lane::HEAD + 40 : foot(@rows.last)).round

        # Beneath the last row.
        def foot(row) = heights[row.id] + (@lanes[row.target("who")]&.row_height(row) || Lane::LINE) + GAP

        # So far apart that boxes stand beside each other and the words over each arrow have room where it begins.
        def middles
          @middles ||=
            begin
              x = 0
              @things.each_with_index.to_h do |thing, index|
                x += index.zero? ? @lanes[thing.id].width / 2 : apart(index - 1, index)
                [thing.id, x.round]
              end
            end
        end

        def apart(left, right)
          one, other = [left, right].map { |index| @lanes[@things[index].id] }
          [((one.width + other.width) / 2) + BESIDE, *words_beside.fetch(left, [])].max
        end

        # @return [Hash{Integer => Array<Numeric>}] what the words need that begin in the gap to the right of a lane, by its place
        def words_beside
          @words_beside ||=
            @rows.each_with_object({}) do |row, found|
              gap = gap(row)
              (found[gap] ||= []) << half(row) if gap
            end
        end

        # Half a box and the words beside it.
        def half(row) =
          (@lanes[row.target("who")].row_width(row) / 2) +
            Activities.words(row).then { |words| words ? Drawing::Pens.width(words, :verb) : 0 } + (2 * AROUND)

        # @return [Integer, nil] the gap beside the box from which it is given, by the place of the lane to its left
        def gap(row)
          to = Acts.receiver(row) or return
          from, toward = order.values_at(row.target("who"), to)
          return unless from && toward

          toward > from ? from : from - 1
        end

        def order = @order ||= @things.each_with_index.to_h { |thing, index| [thing.id, index] }

        def route(row)
          from, to = [row.target("who"), Acts.receiver(row)]
          y = heights[row.id].round
          side = middles[to] > middles[from] ? 1 : -1
          start = middles[from] + (side * @lanes[from].row_width(row) / 2)
          words = Activities.words(row)
          width = words ? Drawing::Pens.width(words, :verb) : 0
          { "points" => [[start, y], [middles[to], y]], "labels" => { "middle" => [start + (side * (AROUND - 4 + (width / 2))), y - 9] } }
        end
      end
    end
  end
end
