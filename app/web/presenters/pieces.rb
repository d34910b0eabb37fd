# frozen_string_literal: true

module Web
  module Presenters
    # What became different on a sheet: the groups of its drawing, by their layers, and the rows of its register. Or the
    # whole drawing, in place of all that was there.
    class Pieces
      # @param scene [Basalt::Drawing::Scene]
      # @param items [Array<Basalt::Drawing::Item>] those that are told
      # @param gone [Array<String>] ids of groups and rows that are no longer there
      # @param affected [Array<String>, nil] keys of what an act may have altered; nil when the whole sheet is told
      # @param made [Array<String>] ids of what is new
      def initialize(project, sheet, scene, items:, gone: [], affected: nil, made: [])
        @project = project
        @set = project.set
        @sheet = sheet
        @scene = scene
        @items = items
        @gone = gone
        @affected = affected
        @made = made
      end

      def whole? = @affected.nil?
      def version = @set.version
      def frame = Coordinates.of(Basalt::Drawing::Furniture.frame(@scene))
      def extent = Coordinates.of(@project.contents(@sheet.id).extent || Basalt::Drawing::Furniture.frame(@scene))
      def gone = @gone.join(" ")
      def made = @made.join(" ")

      # @return [Hash{Symbol => String}] SVG groups by the layer they are in
      def layers
        parted = @items.group_by(&:layer)
        Basalt::Drawing::Scene::LAYERS.to_h { |layer| [layer, parted.fetch(layer, []).map { |item| Basalt::Drawing::SVG.group(item) }.join] }
      end

      # @return [Hash{String => Array<Table::Row>}] by their kind
      def rows
        return {} if whole?

        (shown + parts).group_by(&:kind).to_h { |kind, list| [kind, list.map { |element| table.row(element) }] }
      end

      private

      # A table of any kind tells the rows of all.
      def table = @table ||= Table.new(@project, @sheet, @sheet.notation.things.first)

      def shown
        lines = @sheet.notation.lines
        @shown ||=
          @affected.filter_map { |id| @set.element(id) }.select do |one|
            lines.include?(one.kind) ? @set.drawn_between?(@sheet.id, one) : @set.shown?(@sheet.id, one.id)
          end
      end

      def parts =
        @sheet.notation.parts.flat_map { |kind| shown.flat_map { |owner| @sheet.notation.parts_within(@set, owner.id, kind) } }
    end
  end
end
