# frozen_string_literal: true

module Basalt
  module Layout
    # Finds where along its edge each line meets a thing: as straight as can be, in an order
    # that does not cross, far enough apart for the labels.
    class Ports
      # @param parts [Array<Layered::Part>] their x are set
      def initialize(parts)
        @parts = parts
      end

      def find
        ends = @parts.flat_map { |part| ends_of(part) }
        ends.each { |at| at.x = at.cell.x + (at.cell.w / 2.0) }
        groups = ends.group_by(&:surface).values
        narrow, wide = groups.partition { |group| group.first.cell.w < 400 }
        2.times { (narrow + wide).each { |group| spread(group) } }
        ends.each(&:write)
      end

      private

      End = Struct.new(:part, :foot, :side, :x, :other) do
        def cell = foot.cell
        def surface = side == :top ? cell.number : -1 - cell.number
        def write = foot.x = x.round
      end

      def ends_of(part)
        pair = part.uppers.map { |foot| End.new(part, foot, :bottom) } + part.lowers.map { |foot| End.new(part, foot, :top) }
        pair[0].other = pair[1]
        pair[1].other = pair[0]
        pair
      end

      # Through the middle of a lane, or to both ends of a label above what its line joins.
      def pass(group, cell)
        sorted = group.sort_by { |at| at.other.x }
        sorted.each_with_index { |at, index| at.x = cell.x + (cell.w * (sorted.one? ? 0.5 : index)) }
      end

      # One by itself goes as near as it can.
      def settle(one, low, high)
        one.x = one.other.x.to_f.clamp(low, [low, high].max)
      end

      def spread(group)
        cell = group.first.cell
        return pass(group, cell) unless cell.node

        id = cell.node.id
        fixed, group = group.partition { |at| at.part.edge.port(id) }
        fixed.each { |at| at.x = cell.x + at.part.edge.port(id) }
        return if group.empty?

        surface = cell.node.public_send(group.first.side)
        return settle(group.first, cell.x + surface.from, cell.x + surface.to) if group.one?

        sorted = group.sort_by { |at| [at.other.x, at.other.cell.level] }
        rooms = sorted.map { |at| [at.part.edge.room(id) + 8, Layered::PITCH].max }
        gaps = [0] + rooms.each_cons(2).map { |one, other| (one + other) / 2.0 }
        xs = Spacing.within(sorted.map { |at| at.other.x }, gaps, cell.x + surface.from, cell.x + surface.to)
        sorted.each_with_index { |at, index| at.x = xs[index] }
      end
    end
  end
end
