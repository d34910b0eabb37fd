# frozen_string_literal: true

module Basalt
  module Drawing
    # Tidies a sheet with boundaries from the inside out: what is in a boundary is laid out by
    # itself, and the boundary is then one box among its neighbours. Lines that cross a boundary
    # keep their ends near each other; their ways are found when all boxes stand.
    class CompoundLayout
      # The layout of one group: boxes and routes by id, and how large it is.
      Block = Value.of(:laid, :w, :h)

      # @param only [Array<String>, nil] ids of the things to lay out; nil for all
      def initialize(notation, set, sheet_id, only: nil)
        @set = set
        @notation = notation
        @nesting = Nesting.new(set, sheet_id)
        things, @lines = notation.part(set, sheet_id, only)
        @things = things.reject { |thing| @nesting.hidden?(thing.id) }
        ids = @things.to_set(&:id)
        @parents = @things.to_h { |thing| [thing.id, @nesting.ancestor(thing.id) { |id| ids.include?(id) }] }
        @inside = @things.group_by { |thing| @parents[thing.id] }
      end

      # @yieldparam things [Array<Model::Element>] of one group
      # @yieldparam lines [Array<Model::Element>] among them; an end inside a boundary is at the boundary
      # @yieldparam sizes [Hash{String => Array(Numeric, Numeric)}] of the boundaries among the things
      # @yieldreturn [Hash{String => Hash}] placements
      # @return [Hash{String => Hash}] (see Notation#tidy)
      def placements(&)
        order = outermost_first
        blocks = order.drop(1).reverse.each_with_object({}) { |id, found| found[id] = framed(id, group(id, found, &)) }
        placed = group(nil, blocks, &)
        order.drop(1).each { |id| placed.merge!(moved(blocks[id].laid, placed[id][:x], placed[id][:y])) }
        placed
      end

      private

      # @return [Array<String, nil>] whatever has things inside, each before what is in it; nil for the sheet
      def outermost_first
        found = []
        waiting = [nil]
        until waiting.empty?
          found << waiting.pop
          waiting.concat(members(found.last).map(&:id).select { |id| @inside.key?(id) }.reverse)
        end
        found
      end

      def members(parent) = @inside.fetch(parent, [])

      # @param blocks [Hash{String => Block}] of the boundaries that are in it
      # @return [Hash{String => Hash}] placements of its members
      def group(parent, blocks)
        things = members(parent)
        lines = lines(parent)
        sizes = blocks.slice(*things.map(&:id)).transform_values { |inner| [inner.w, inner.h] }
        laid = yield(things, lines, closed_sizes(things).merge(sizes))
        return laid if sizes.empty?

        laid.except(*lines.select { |line| line.endpoints.any? { |id| sizes.key?(id) } }.map(&:id))
      end

      def closed_sizes(things)
        return {} unless @nesting.collapsed?

        things
          .select { |thing| @nesting.closed?(thing.id) }
          .to_h { |thing| [thing.id, @notation.closed_size(@set, thing, @nesting.inside(thing.id).length)] }
      end

      # The lines whose ends lie in different members of a group, each in the innermost group that holds both.
      def lines(parent)
        @by_group ||= flat? ? { nil => @lines } : @lines.each_with_object({}) { |line, table| sort_in(line, table) }
        @by_group.fetch(parent, [])
      end

      # Nothing stands in anything: all lines are among the things.
      def flat? = @parents.each_value.none? && !@nesting.collapsed?

      def sort_in(line, table)
        chains = line.ends.values_at(0, -1).map { |one| chain(one.target_id) }
        return if chains.any?(&:nil?)

        one, other = chains
        return (table[@parents[one.last]] ||= []) << line if one == other && line.endpoints.uniq.one?

        at = one.zip(other).index { |pair| pair.uniq.length > 1 } or return
        members = [one[at], other[at]]
        return if members.any?(&:nil?)

        (table[@parents[members.first]] ||= []) << (members == line.endpoints ? line : between(line, members))
      end

      def between(line, members)
        line.with(ends: line.ends.values_at(0, -1).zip(members).map { |one, id| one.with(target_id: id) })
      end

      # @return [Array<String>, nil] what an element is in, from the outermost, and itself last; nil where it is not laid out
      def chain(id)
        id = @nesting.stand_in(id)
        return unless @parents.key?(id)

        found = [id]
        found.unshift(@parents[found.first]) while @parents[found.first]
        found
      end

      def moved(laid, dx, dy)
        laid.transform_values do |to|
          if to[:x]
            to.merge(x: to[:x] + dx, y: to[:y] + dy)
          else
            { route: to[:route].merge("points" => to[:route]["points"].map { |x, y| [x + dx, y + dy] }) }
          end
        end
      end

      # A group within its boundary, whose corner is at 0, 0.
      def framed(parent, laid)
        boundary = @set.element(parent)
        box = Boundary.around(boxes(laid), @notation.boundary_words(boundary))
        Block.new(laid: moved(laid, -box.x, -box.y), w: box.w, h: box.h)
      end

      def boxes(laid)
        laid.flat_map do |id, to|
          next Layout::Polyline.boxes(to[:route]["points"]) unless to[:x]

          placement = Model::Placement.new(element_id: id, **to.slice(:x, :y, :w, :h, :shape))
          [placement.box, *@notation.obstacles(@set, @set.element(id), placement)]
        end
      end
    end
  end
end
