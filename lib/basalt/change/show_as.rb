# frozen_string_literal: true

module Basalt
  module Change
    # Shows on one sheet what stands on another, arranged as it is there.
    ShowAs = Value.of(:ids, :from, :to, :dx, :dy) do
      def apply(draft)
        notation = draft.sheets[to].notation
        things = ids.filter_map { |id| draft.element(id) }.reject(&:relation?)
        drawn = things.select { |thing| notation.draws?(thing) }
        raise Mistake, "#{English.article(notation.name)} #{notation.name} sheet draws none of these" if drawn.empty?

        drawn.reject { |thing| draft.shown?(to, thing.id) }.each { |thing| stand(draft, thing) }
      end

      private

      def stand(draft, thing)
        Show.new(sheet_id: to, element_id: thing.id).apply(draft)
        pattern = draft.placement(from, thing.id)
        return unless pattern&.box

        Arrange.new(placement_id: draft.placement(to, thing.id).id, to: { x: pattern.x + dx, y: pattern.y + dy }).apply(draft)
      end
    end
  end
end
