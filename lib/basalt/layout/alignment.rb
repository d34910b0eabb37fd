# frozen_string_literal: true

module Basalt
  module Layout
    # Puts boxes in line, at even distances or at one size. Each answers what the boxes become,
    # in the order given.
    module Alignment
      EDGES = {
        "left" => ->(all, box) { [all.x, box.y] },
        "right" => ->(all, box) { [all.right - box.w, box.y] },
        "top" => ->(all, box) { [box.x, all.y] },
        "bottom" => ->(all, box) { [box.x, all.bottom - box.h] },
        "centre" => ->(all, box) { [all.cx - (box.w / 2.0), box.y] },
        "middle" => ->(all, box) { [box.x, all.cy - (box.h / 2.0)] }
      }.freeze
      SPREADS = { "across" => %i[x w], "down" => %i[y h] }.freeze
      WAYS = (EDGES.keys + SPREADS.keys + ["same size"]).freeze

      module_function

      # @param boxes [Array<Box>]
      # @param how [String] one of WAYS
      # @return [Array<Box>]
      # @raise [Mistake] for another word
      def call(boxes, how)
        return boxes if boxes.length < 2
        return align(boxes, EDGES[how]) if EDGES.key?(how)
        return spread(boxes, *SPREADS[how]) if SPREADS.key?(how)
        return same_size(boxes) if how == "same size"

        raise Mistake, "things are put in line by #{WAYS.join(', ')}"
      end

      def align(boxes, place)
        all = Box.around(boxes)
        boxes.map do |box|
          x, y = place.call(all, box)
          Box.new(x: x.round, y: y.round, w: box.w, h: box.h)
        end
      end

      # The outermost stay, the gaps between all become the same.
      def spread(boxes, from, size)
        order = boxes.each_index.sort_by { |i| [boxes[i].public_send(from), i] }
        span = order.map { |i| boxes[i].public_send(from) + boxes[i].public_send(size) }.max - boxes[order.first].public_send(from)
        gap = (span - boxes.sum(&size)) / (boxes.length - 1.0)
        at = boxes[order.first].public_send(from).to_f
        order.each_with_object(boxes.dup) do |i, placed|
          box = boxes[i]
          placed[i] = Box.new(**{ x: box.x, y: box.y, w: box.w, h: box.h, from => at.round })
          at += box.public_send(size) + gap
        end
      end

      def same_size(boxes)
        w = boxes.map(&:w).max
        h = boxes.map(&:h).max
        boxes.map { |box| Box.new(x: box.x, y: box.y, w:, h:) }
      end
    end
  end
end
