# frozen_string_literal: true

module Basalt
  module Layout
    # A lane across the sheet for each tier; along the lanes, each thing stands after what
    # leads to it.
    class Lanes
      GAP = 70
      STACK = 26
      DROP = 70

      # @param sizes [Hash{Object => Array(Numeric, Numeric)}] width and height by id, px
      # @param pairs [Array<Array(Object, Object)>] from and to
      # @param lanes [Hash{Object => Object}] the lane of each; lanes come in the order in which they first occur
      # @return [Hash{Object => Array(Integer, Integer)}] top left corners
      def self.call(sizes, pairs, lanes:, **) = new(sizes, pairs, lanes).corners

      def initialize(sizes, pairs, lanes)
        @sizes = sizes
        @columns = ranks(pairs.reject { |one, other| one == other })
        @cells = sizes.keys.group_by { |id| [lanes.fetch(id), @columns[id]] }
        @lanes = lanes.values_at(*sizes.keys).uniq
      end

      def corners
        lefts = lefts()
        y = 0
        @lanes.each_with_object({}) do |lane, found|
          cells = @cells.select { |(key, _), _| key == lane }
          cells.each { |(_, column), ids| stack(ids, lefts[column], y, found) }
          y += cells.values.map { |ids| height(ids) }.max + DROP
        end
      end

      private

      # One step after the last of what leads to it; steps back within a circle do not count.
      def ranks(pairs)
        after = pairs.group_by(&:first).transform_values { |list| list.map(&:last) }
        state = {}
        order = []
        back = Set.new
        @sizes.each_key { |id| walk(id, after, state, order, back) }
        order.reverse.each_with_object({}) do |id, found|
          found[id] ||= 0
          after.fetch(id, []).each { |other| found[other] = [found.fetch(other, 0), found[id] + 1].max unless back.include?([id, other]) }
        end
      end

      # Depth first, without recursion: sheets may be longer than a stack is deep.
      def walk(start, after, state, order, back)
        stack = state[start] ? [] : [[start, 0]]
        until stack.empty?
          id, step = stack.last
          state[id] ||= :open
          other = after.fetch(id, [])[step]
          next finish(stack, state, order) unless other

          stack.last[1] += 1
          back << [id, other] if state[other] == :open
          stack << [other, 0] unless state[other]
        end
      end

      def finish(stack, state, order)
        id, = stack.pop
        state[id] = :done
        order << id
      end

      def lefts
        widths = @columns.group_by(&:last).transform_values { |list| list.map { |id, _| @sizes[id][0] }.max }
        x = 0
        (0..(widths.keys.max || 0)).to_h { |column| [column, x].tap { x += widths.fetch(column, 0) + GAP } }
      end

      def stack(ids, left, top, found)
        ids.each do |id|
          found[id] = [left.round, top.round]
          top += @sizes[id][1] + STACK
        end
      end

      def height(ids) = ids.sum { |id| @sizes[id][1] + STACK } - STACK
    end
  end
end
