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

      # More than a sheet has rows: cells are numbered column by column.
      ROWS = 1_000_003
      NONE = [].freeze
      private_constant :NONE, :ROWS, :Grid, :Entry

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
      def first_overlapping(box) = find(box) { true }&.box

      # @return [Array<Array(Object, Box)>] what overlaps the box
      def overlapping(box)
        found = []
        each_overlapping(box) { |entry| found << [entry.id, entry.box] }
        found
      end

      # @param most [Integer] counts no further
      # @yieldparam id [Object]
      # @return [Integer] how many overlap the box, of what the block does not except
      def count(box, most)
        found = 0
        each_overlapping(box) do |entry|
          next if block_given? && yield(entry.id)
          return most if (found += 1) >= most
        end
        found
      end

      # @return [Boolean] whether more than so many overlap the box
      def more?(number, box) = count(box, number + 1) > number

      private

      def find(box)
        each_overlapping(box) { |entry| return entry if yield entry }
        nil
      end

      # Each once: where it meets the box first. It is written out since nothing is asked more often.
      #
      # @yieldparam entry [Entry]
      def each_overlapping(box)
        left, top, right, bottom = box.x, box.y, box.right, box.bottom
        @grids.each do |grid|
          cells, wide, high = grid.cells, grid.wide, grid.high
          from, last = (left / wide).floor, (right / wide).floor
          first, lowest = (top / high).floor, (bottom / high).floor
          column = from
          while column <= last
            row = first
            while row <= lowest
              cells[(column * ROWS) + row]&.each do |entry|
                x, y = entry.left, entry.top
                next unless left < entry.right && x < right && top < entry.bottom && y < bottom

                yield entry if (column == from || (x / wide).floor == column) && (row == first || (y / high).floor == row)
              end
              row += 1
            end
            column += 1
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
            yield (column * ROWS) + row
            row += 1
          end
          column += 1
        end
      end
    end
  end
end
