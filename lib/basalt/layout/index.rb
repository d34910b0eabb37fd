# frozen_string_literal: true

module Basalt
  module Layout
    # Boxes found by place: a grid of cells, each listing the boxes that touch it. Those that touch
    # very many cells are in a coarser grid of their own: on very wide sheets there are thousands.
    class Index
      CELL = 160.0
      LARGE = 256
      COARSE = CELL * 64

      NONE = [].freeze
      private_constant :NONE

      def initialize
        @cells = {}
        @large = {}
        @boxes = {}
      end

      # @param id [Object] what the box is of; a second box of the same id is kept beside the first
      def add(id, box)
        entry = [id, box]
        cells, side = grid(box)
        each_cell(box, side) { |cell| (cells[cell] ||= {}.compare_by_identity)[entry] = true }
        (@boxes[id] ||= []) << entry
      end

      def remove(id)
        (@boxes.delete(id) || []).each do |entry|
          cells, side = grid(entry.last)
          each_cell(entry.last, side) { |cell| cells[cell].delete(entry) }
        end
      end

      # @return [Array<Box>] those of an id
      def boxes(id) = @boxes[id]&.map(&:last) || NONE

      # @yieldparam id [Object]
      # @return [Boolean] whether nothing overlaps the box, of what the block does not except
      def free?(box)
        return first_overlapping(box).nil? unless block_given?

        each_large(box) { |id, other| return false if other.overlap?(box) && !yield(id) }
        left, top, right, bottom = box.x, box.y, box.right, box.bottom
        each_cell(box) do |cell|
          entries = @cells[cell] or next
          entries.each_key do |id, other|
            return false if left < other.right && other.x < right && top < other.bottom && other.y < bottom && !yield(id)
          end
        end
        true
      end

      # @return [Box, nil] one of those that overlap the box
      def first_overlapping(box)
        each_large(box) { |_, other| return other if other.overlap?(box) }
        left, top, right, bottom = box.x, box.y, box.right, box.bottom
        each_cell(box) do |cell|
          entries = @cells[cell] or next
          entries.each_key do |_, other|
            return other if left < other.right && other.x < right && top < other.bottom && other.y < bottom
          end
        end
        nil
      end

      # @return [Array<Array(Object, Box)>] what overlaps the box
      def overlapping(box)
        found = {}.compare_by_identity
        left, top, right, bottom = box.x, box.y, box.right, box.bottom
        each_large(box) { |entry| found[entry] = true if entry[1].overlap?(box) }
        each_cell(box) do |cell|
          entries = @cells[cell] or next
          entries.each_key do |entry|
            other = entry[1]
            found[entry] = true if left < other.right && other.x < right && top < other.bottom && other.y < bottom
          end
        end
        found.keys
      end

      # @return [Boolean] whether more than so many overlap the box
      def more?(number, box)
        found = {}.compare_by_identity
        each_large(box) { |entry| found[entry] = true if entry[1].overlap?(box) }
        each_cell(box) do |cell|
          entries = @cells[cell] or next
          entries.each_key { |entry| found[entry] = true if entry[1].overlap?(box) }
          return true if found.length > number
        end
        found.length > number
      end

      private

      def large?(box) = ((box.w / CELL) + 1) * ((box.h / CELL) + 1) > LARGE

      # @return [Array(Hash, Float)] the cells that a box is listed in, and how wide these are
      def grid(box) = large?(box) ? [@large, COARSE] : [@cells, CELL]

      def each_large(box, &)
        each_cell(box, COARSE) { |cell| @large[cell]&.each_key(&) } unless @large.empty?
      end

      def each_cell(box, side = CELL)
        column, last = (box.x / side).floor, (box.right / side).floor
        first, lowest = (box.y / side).floor, (box.bottom / side).floor
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
