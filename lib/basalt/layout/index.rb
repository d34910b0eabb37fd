# frozen_string_literal: true

module Basalt
  module Layout
    # Boxes found by place: grids of cells, each listing the boxes that touch it. A box is in the grid whose cells
    # are as wide and as high as suits it, so that few of them list it, however far it reaches.
    class Index
      # Sides of the smallest cells, px.
      CELL = 160.0
      # So many cells a box may pass in either direction; those of the next grid are so many times as long.
      STEP = 8

      # Cells of one size. Lines run far in one direction only, and so do the cells that list them.
      Grid = Struct.new(:wide, :high, :cells)
      # A box with its edges, which are asked more often than it is.
      Entry = Struct.new(:id, :box, :left, :top, :right, :bottom)

      NONE = [].freeze
      private_constant :NONE, :Grid, :Entry

      def initialize
        @grids = []
        @boxes = {}
      end

      # @param id [Object] what the box is of; a second box of the same id is kept beside the first
      def add(id, box)
        entry = Entry.new(id, box, box.x, box.y, box.right, box.bottom)
        grid = grid(box)
        each_cell(grid, box) { |cell| (grid.cells[cell] ||= []) << entry }
        (@boxes[id] ||= []) << entry
      end

      def remove(id)
        (@boxes.delete(id) || []).each do |entry|
          grid = grid(entry.box)
          each_cell(grid, entry.box) { |cell| grid.cells[cell].delete_if { |other| other.equal?(entry) } }
        end
      end

      # @return [Array<Box>] those of an id
      def boxes(id) = @boxes[id]&.map(&:box) || NONE

      # @yieldparam id [Object]
      # @return [Boolean] whether nothing overlaps the box, of what the block does not except
      def free?(box)
        each_overlapping(box) { |entry| return false unless block_given? && yield(entry.id) }
        true
      end

      # @return [Box, nil] one of those that overlap the box
      def first_overlapping(box)
        each_overlapping(box) { |entry| return entry.box }
        nil
      end

      # @return [Array<Array(Object, Box)>] what overlaps the box
      def overlapping(box)
        found = {}.compare_by_identity
        each_overlapping(box) { |entry| found[entry] = true }
        found.keys.map { |entry| [entry.id, entry.box] }
      end

      # @return [Boolean] whether more than so many overlap the box
      def more?(number, box)
        found = {}.compare_by_identity
        each_overlapping(box) do |entry|
          found[entry] = true
          return true if found.length > number
        end
        false
      end

      private

      # @yieldparam entry [Entry] perhaps several times
      def each_overlapping(box)
        left, top, right, bottom = box.x, box.y, box.right, box.bottom
        @grids.each do |grid|
          cells = grid.cells
          each_cell(grid, box) do |cell|
            cells[cell]&.each do |entry|
              yield entry if left < entry.right && entry.left < right && top < entry.bottom && entry.top < bottom
            end
          end
        end
      end

      # The grid of boxes of this extent, the same for as long as there is one.
      def grid(box)
        wide, high = side(box.w), side(box.h)
        @grids.find { |grid| grid.wide == wide && grid.high == high } || Grid.new(wide, high, {}).tap { |grid| @grids << grid }
      end

      def side(extent)
        side = CELL
        side *= STEP while extent > side * STEP
        side
      end

      def each_cell(grid, box)
        column, last = (box.x / grid.wide).floor, (box.right / grid.wide).floor
        first, lowest = (box.y / grid.high).floor, (box.bottom / grid.high).floor
        while column <= last
          row = first
          while row <= lowest
            yield (column * 1_000_003) + row
            row += 1
          end
          column += 1
        end
      end
    end
  end
end
