# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # Tidies one system with what is around it: every neighbour stands beside the boundary, on the side from which the way to what
      # it is joined with is free and shortest.
      class SurroundedLayout
        ASIDE = 130
        BELOW = 70
        GAP = 34
        # Nearer than this a way along a box is not free, px.
        MARGIN = 12
        # The side, and whether neighbours there stand in a column.
        SIDES = { left: true, right: true, above: false, below: false }.freeze

        # @param laid [Hash{String => Hash}] the boundary and what is in it, laid out
        # @param neighbours [Array<Model::Element>]
        # @param lines [Array<Model::Element>] of the sheet
        def initialize(notation, set, laid, boundary_id, neighbours, lines)
          @notation = notation
          @set = set
          @laid = laid
          @neighbours = neighbours
          @lines = lines.each_with_object({}) { |line, table| line.endpoints.uniq.each { |id| (table[id] ||= []) << line } }
          @boxes = laid.select { |_, to| to[:x] }.transform_values { |to| Layout::Box.new(**to.slice(:x, :y, :w, :h)) }
          @frame = @boxes.delete(boundary_id)
        end

        # @return [Hash{String => Hash}] (see Drawing::Notation#tidy)
        def placements
          sides = @neighbours.group_by { |neighbour| side(neighbour) }
          sides.reduce(@laid) { |all, (side, members)| all.merge(SIDES.fetch(side) ? column(side, members) : row(side, members)) }
        end

        private

        def size(neighbour) = @notation.size(@set, neighbour)

        # @return [Array<Layout::Box>] what it is joined with
        def joined(neighbour)
          @lines.fetch(neighbour.id, []).flat_map(&:endpoints).uniq.filter_map { |id| box(id) }
        end

        # Of a thing, or of what a part of it is at.
        def box(id) = @boxes[id] || @boxes[@set.elements[id]&.owner_id]

        def side(neighbour)
          boxes = joined(neighbour)
          return :left if boxes.empty?

          SIDES
            .keys
            .min_by.with_index do |side, index|
              ways = boxes.map { |box| way(box, side) }
              [boxes.zip(ways).count { |box, way| !free?(box, way) }, ways.sum { |way| way.w + way.h }, index]
            end
        end

        # @return [Layout::Box] from a side of a box to the boundary
        def way(box, side)
          case side
          when :left then Layout::Box.new(x: @frame.x, y: box.cy, w: box.x - @frame.x, h: 0)
          when :right then Layout::Box.new(x: box.right, y: box.cy, w: @frame.right - box.right, h: 0)
          when :above then Layout::Box.new(x: box.cx, y: @frame.y, w: 0, h: box.y - @frame.y)
          else Layout::Box.new(x: box.cx, y: box.bottom, w: 0, h: @frame.bottom - box.bottom)
          end
        end

        def free?(box, way) =
          @boxes.each_value.none? { |other| other != box && !around?(other, box) && other.grow(MARGIN).overlap?(way) }

        def around?(other, box) = other.x < box.x && other.y < box.y && other.right > box.right && other.bottom > box.bottom

        def column(side, members)
          place(members, ->(box) { box.cy }, 1) do |neighbour, at|
            w, h = size(neighbour)
            { x: side == :left ? @frame.x - ASIDE - w : @frame.right + ASIDE, y: at, w:, h: }
          end
        end

        def row(side, members)
          place(members, ->(box) { box.cx }, 0) do |neighbour, at|
            w, h = size(neighbour)
            { x: at, y: side == :above ? @frame.y - BELOW - h : @frame.bottom + BELOW, w:, h: }
          end
        end

        # Each beside the middle of what it is joined with, and none on another.
        def place(members, middle, along)
          free = nil
          wanted = members.to_h { |one| [one, joined(one).map(&middle).then { |list| list.empty? ? 0 : list.sum / list.length.to_f }] }
          members.sort_by { |one| [wanted[one], one.ordinal] }.to_h do |one|
            at = [wanted[one] - (size(one)[along] / 2.0), free].compact.max.round
            free = at + size(one)[along] + GAP
            [one.id, yield(one, at)]
          end
        end
      end
    end
  end
end
