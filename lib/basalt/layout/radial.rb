# frozen_string_literal: true

module Basalt
  module Layout
    # One thing in the middle, what it is joined to around it, and theirs further out behind
    # them, each branch in a sector of its own (after Eades, "Drawing Free Trees", 1992).
    class Radial
      GAP = 36
      # Boxes are wider than high: distances down count for more than those across.
      SQUASH = 1.5

      # (see Tree.call)
      def self.call(sizes, pairs, root: nil) = new(sizes, pairs, Spanning.new(sizes.keys, pairs, root:)).corners

      def initialize(sizes, pairs, spanning)
        @sizes = sizes
        @pairs = pairs
        @spanning = spanning
      end

      def corners = Packing.call(@spanning.roots.map { |root| boxes(root) })

      private

      def boxes(root)
        angles = angles(root)
        radii = radii(@spanning.members(root), angles)
        @spanning.members(root).to_h do |id|
          radius = radii[@spanning.depth(id)]
          [id, Box.at(radius * Math.cos(angles[id]), radius * Math.sin(angles[id]) / SQUASH, *@sizes[id])]
        end
      end

      # The middle of each branch's sector, a full turn being shared out by how many ends it has.
      def angles(root)
        leaves = @spanning.leaves(root)
        sectors = { root => [-Math::PI / 2, 1.5 * Math::PI] }
        @spanning.members(root).each do |id|
          from, to = sectors[id]
          share = (to - from) / leaves[id]
          ordered(id).each { |child| sectors[child] = [from, from += share * leaves[child]] }
        end
        sectors.transform_values { |from, to| (from + to) / 2 }
      end

      # Children that are joined among themselves, or share a neighbour further out, come next to each other.
      def ordered(id)
        children = @spanning.children(id)
        return children if children.length < 3

        number = children.each_with_index.to_h
        scale = Smoothing.new([number.values], children.map { |child| related(child, children).map(&number) })
        8.times { scale.step }
        scale.levels.first.map { |index| children[index] }
      end

      def related(child, siblings)
        reach = @spanning.near[child] + @spanning.children(child).flat_map { |inner| @spanning.near[inner] }
        siblings.select { |other| other != child && (reach.include?(other) || reach.intersect?(@spanning.children(other))) }
      end

      # Rings so far out that neighbours on one, and one ring and the next, do not meet.
      def radii(members, angles)
        rings = members.group_by { |id| @spanning.depth(id) }.sort.map(&:last)
        rings.each_with_index.with_object([]) do |(ring, depth), found|
          found << (depth.zero? ? 0 : [found.last + clear(rings[depth - 1], ring), around(ring, angles)].max)
        end
      end

      def clear(inner, outer) = [inner, outer].sum { |ring| ring.map { |id| reach(id) }.max } + GAP

      def around(ring, angles)
        sorted = ring.sort_by { |id| angles[id] }
        return 0 if sorted.length < 2

        sorted.each_index.map do |index|
          one, other = sorted[index - 1], sorted[index]
          turn = (angles[other] - angles[one]) % (2 * Math::PI)
          (reach(one) + reach(other) + GAP) / (2 * Math.sin([turn, Math::PI].min / 2))
        end.max
      end

      # Half the diagonal, as distances count here.
      def reach(id)
        w, h = @sizes[id]
        Math.hypot(w, h * SQUASH) / 2
      end
    end
  end
end
