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
      # @param altered [Array<String>] ids of elements that are other than they were
      # @param made [Array<String>] ids of what is new
      # @param grown [Boolean] whether the sheet may be better laid out afresh
      def initialize(project, sheet, scene, items:, gone: [], affected: nil, altered: [], made: [], grown: false)
        @project = project
        @set = project.set
        @sheet = sheet
        @scene = scene
        @items = items
        @gone = gone
        @affected = affected
        @altered = altered.to_set
        @made = made
        @grown = grown
      end

      def whole? = @affected.nil?
      def grown? = @grown ? true : false
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
      def table = @table ||= Table.new(@project, @sheet, notation.things.first)

      def shown
        lines = notation.lines
        @shown ||=
          @affected.filter_map { |id| @set.element(id) }.select do |one|
            lines.include?(one.kind) ? @set.drawn_between?(@sheet.id, one) : @set.shown?(@sheet.id, one.id)
          end
      end

      # What is worked out for a part can depend on anything about its owner; what is not, only on the part and what it belongs to.
      def parts
        worked_out, others = notation.parts.partition { |kind| notation.computed_headings(kind).any? }
        all, some = shown.partition { |owner| @altered.include?(owner.id) }
        [
          *worked_out.flat_map { |kind| shown.flat_map { |owner| notation.parts_within(@set, owner.id, kind) } },
          *others.flat_map { |kind| all.flat_map { |owner| notation.parts_within(@set, owner.id, kind) } },
          *altered_parts(some.to_set(&:id)).select { |part| others.include?(part.kind) }
        ]
      end

      # Those that were altered, and what belongs to them.
      def altered_parts(owners)
        own = @altered.filter_map { |id| @set.element(id) }.select { |one| one.owner_id && owners.include?(topmost(one)) }
        own.flat_map { |part| [part, *@set.parts_within(part.id)] }.uniq(&:id)
      end

      def topmost(part) = part.owner_id ? topmost(@set.element(part.owner_id)) : part.id

      def notation = @sheet.notation
    end
  end
end
