# frozen_string_literal: true

module Basalt
  module Drawing
    # Keeps boundaries around what they contain, from the innermost outwards; a collapsed one
    # is as large as a slab.
    class Fitting
      extend Delegation

      delegate :draft, :sheet_id, :notation, :spatial_index, :placement, :nesting, :arrange, :stand, :touched_elements,
               to: :@context, from: LayoutContext

      # @param context [LayoutContext]
      def initialize(context)
        @context = context
      end

      # Boundaries around what was touched follow it.
      def refit
        return unless nesting.any?

        ids =
          touched_elements.flat_map do |id|
            [
              id,
              *(draft.element(id) ? nesting.ancestors(id) : []),
              *(draft.base.element(id) ? Nesting.new(draft.base, sheet_id).ancestors(id) : [])
            ]
          end
        ids
          .uniq
          .select { |id| draft.element(id) && placement(id)&.x }
          .sort_by { |id| -nesting.ancestors(id).length }
          .each { |id| fit(id) }
      end

      private

      def fit(id)
        box = fitting(id) or return
        return if placement(id).box == box

        spatial_index.remove(id)
        arrange(id, { x: box.x, y: box.y, w: box.w, h: box.h })
        stand(id)
      end

      # @return [Layout::Box, nil] nil for what is no boundary and was none
      def fitting(id)
        thing = draft.element(id)
        return unless notation.boundaries.include?(thing.kind)
        return slab(thing) unless nesting.boundary?(id)

        boxes =
          nesting
            .children(id)
            .filter_map do |inner|
              placement(inner)&.then { |placed| [placed.box, *notation.obstacles(draft, draft.element(inner), placed)] if placed.box }
            end
            .flatten
        Boundary.around(boxes, notation.boundary_words(thing)) if boxes.any?
      end

      def slab(thing)
        w, h =
          nesting.closed?(thing.id) ? notation.closed_size(draft, thing, nesting.inside(thing.id).length) : notation.size(draft, thing)
        placed = placement(thing.id)
        Layout::Box.new(x: placed.x, y: placed.y, w: placed.w && placed.h == h ? [placed.w, w].max : w, h:)
      end
    end
  end
end
