# frozen_string_literal: true

module Basalt
  module Drawing
    # A notation together with the kinds that bring their own symbol: those can stand on every
    # sheet, and tidying leaves them where they were put.
    class Annotated < NotationDelegator
      # The same variant is always the same object.
      def shown(view)
        variant = @notation.shown(view)
        variant.equal?(@notation) ? self : (@shown ||= {})[variant] ||= Annotated.new(variant)
      end

      def draws?(element) = !figure(element).nil? || super
      def joins?(thing) = figure(thing).nil? && super
      def told = super + Model::Catalogue.told
      def things = super + Model::Catalogue.figures.map(&:name)
      def chips = super + Model::Catalogue.figures.flat_map(&:chips)
      def size(set, thing) = figure(thing) ? own_size(thing) : super
      def thing_shapes(set, thing, placement) = figure(thing)&.shapes(thing, placement) || super
      def obstacles(set, thing, placement) = figure(thing)&.obstacles(thing, placement) || super
      def fits?(thing) = figure(thing).nil? && super
      def sizable?(thing) = figure(thing) ? !figure(thing).outline? : super
      def sized(set, thing, placement, width, height) = figure(thing)&.sized(thing, placement, width, height) || super
      def marks(set, element) = figure(element) ? [] : super
      def computed(set, element) = figure(element) ? [] : super
      def computed_headings(kind) = Model::Catalogue.kind(kind).figure ? [] : super
      def completed(set, element, fact, text) = figure(element) ? text : super

      def candidate_positions(set, sheet_id, thing, size, extent)
        return super unless figure(thing)

        box = extent || Layout::Box.new(x: 0, y: 0, w: 400, h: 40)
        (0..40).lazy.flat_map do |row|
          (0..3).map { |column| [(box.x + (column * (size[0] + 40))).round, (box.bottom + 40 + (row * (size[1] + 30))).round] }
        end
      end

      private

      def figure(element) = element.description.figure
      def own_size(thing) = figure(thing).size(thing)
    end
  end
end
