# frozen_string_literal: true

module Basalt
  module Drawing
    # Cards in columns, for notations that draw things which nothing joins; they say how wide a card is, and how many columns there are.
    module CardColumns
      GAP = 18

      # @param columns [Array<Array<Model::Element>>]
      # @return [Hash{String => Hash}] what their placements become
      def in_columns(set, columns) = columns.each_with_index.flat_map { |list, column| stacked(set, list, column) }.to_h

      # @return [Array<Array<Model::Element>>] as many in each as in any other
      def even_columns(things) = things.each_slice([(things.length / column_count.to_f).ceil, 1].max).to_a

      def candidate_positions(_set, _sheet_id, _thing, size, extent)
        extent ||= Layout::Box.new(x: 0, y: 0, w: 0, h: 0)
        (0..60).lazy.flat_map do |row|
          (0...column_count).map { |column| [(extent.x + (column * (size[0] + GAP))).round, (extent.y + (row * (size[1] + GAP))).round] }
        end
      end

      private

      def stacked(set, list, column)
        y = 0
        list.map do |thing|
          w, h = size(set, thing)
          [thing.id, { x: column * (card_width + GAP), y:, w:, h: }].tap { y += h + GAP }
        end
      end
    end
  end
end
