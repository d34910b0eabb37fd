# frozen_string_literal: true

module Basalt
  module Drawing
    # What surrounds a drawing: the frame, the title block and the legend, which lists only
    # what occurs.
    class Furniture
      TITLE_W = 320
      TITLE_H = 92
      FOOT = 116
      ROW = 20
      ROWS = 3
      COLUMN = 130
      SAMPLE = 34

      # @param scene [Scene]
      # @return [Item]
      def self.item(scene) = new(scene).item

      # @return [Layout::Box] the frame of a scene
      def self.frame(scene) = new(scene).frame

      def initialize(scene)
        @scene = scene
        @sheet = scene.sheet
      end

      def item
        Item.new(id: "frame", layer: :furniture, element_id: nil, type: "frame", title: nil,
                 shapes: [Shapes.rect(frame.x, frame.y, frame.w, frame.h, :frame), *title_block, *legend])
      end

      def frame
        @frame ||= begin
          content = @scene.extent.grow(Scene::MARGIN)
          w = [content.w, TITLE_W + legend_width + 60, 720].max
          Layout::Box.new(x: (content.cx - (w / 2.0)).floor, y: content.y.floor, w: w.ceil, h: (content.h + FOOT).ceil)
        end
      end

      private

      def entries
        @entries ||= [*@scene.notation.legend, OpeningSign::LEGEND].select { |_, _, _, mark| @scene.contents.mark?(mark) } +
                     (@scene.signs.any? ? [SideSign::LEGEND] : []) +
                     @scene.emphases.each_with_index.map { |name, index| [Pens.fit(name, :legend, 160), :hatch, index, nil] }
      end

      def legend_width = entries.empty? ? 0 : (entries.length / ROWS.to_f).ceil * column
      def column = @column ||= [entries.map { |words, *| Pens.width(words, :legend) }.max.to_i + SAMPLE + 34, COLUMN].max

      def title_block
        x = frame.right - TITLE_W
        y = frame.bottom - TITLE_H
        [Shapes.rect(x, y, TITLE_W, TITLE_H, :rule), Shapes.path("M#{x} #{y + 32}H#{frame.right}M#{x} #{y + 62}H#{frame.right}", :rule),
         Shapes.path("M#{x + 206} #{y + 32}V#{frame.bottom}M#{x + 112} #{y + 62}V#{frame.bottom}", :rule),
         Shapes.text(x + 10, y + 21, Pens.fit(@sheet.name, :title, TITLE_W - 20), :title), *cells(x, y)]
      end

      def cells(x, y)
        [[10, 32, "notation", @sheet.notation_name, 190], [216, 32, "sheet", @sheet.number, 96],
         [10, 62, "drawn by", @sheet.drawn_by, 94], [122, 62, "date", @sheet.dated, 78],
         [216, 62, "revision", [@sheet.revision, @sheet.status].compact.join(", "), 96]].flat_map do |dx, dy, caption, entry, room|
          [Shapes.text(x + dx, y + dy + 11, caption, :caption),
           Shapes.text(x + dx, y + dy + 25, Pens.fit(entry.to_s, :entry, room), :entry)]
        end
      end

      def legend
        return [] if entries.empty?

        x = frame.x + 14
        y = frame.bottom - 82
        [Shapes.text(x, y, "Legend", :heading)] + entries.each_with_index.flat_map do |(words, type, sample), index|
          left = x + ((index / ROWS) * column)
          line = y + 20 + ((index % ROWS) * ROW)
          [*draw_sample(type, sample, left, line), Shapes.text(left + SAMPLE + 8, line + 4, words, :legend)]
        end
      end

      def draw_sample(type, sample, x, y)
        case type
        when :hatch then Hatch.shapes(Layout::Box.new(x: x + 4, y: y - 5, w: SAMPLE - 8, h: 10), sample)
        when :pen then [Shapes.polyline([[x, y], [x + SAMPLE, y]], sample)]
        when :box then [Shapes.rect(x + 4, y - 7, SAMPLE - 8, 14, sample)]
        when :seam then [Shapes.fill("M#{x + 14} #{y - 7}H#{x + 18}V#{y + 7}H#{x + 14}Z", Pens::SEAMS.fetch(sample))]
        when :text then [Shapes.text(x + (SAMPLE / 2), y + 4, sample, :label, :middle)]
        when :shapes then sample.call(x, y)
        end
      end
    end
  end
end
