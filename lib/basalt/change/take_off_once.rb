# frozen_string_literal: true

module Basalt
  module Change
    # Takes one occurrence off a sheet; the lines at it go to the first that is left. What stands there once goes off as a whole.
    TakeOffOnce = Value.of(:sheet_id, :key) do
      def apply(draft)
        placement = draft.placement(sheet_id, key) or raise Refusals::NotOnSheet
        left = draft.further(sheet_id, placement.element_id)
        return TakeOff.new(sheet_id:, element_id: placement.element_id).apply(draft) if left.empty?

        draft.delete(:placements, placement.id)
        lead(draft, left.first) unless placement.again?
        loosen(draft, placement.element_id, placement.again? ? placement.id : left.first.id)
      end

      private

      def lead(draft, further)
        shape = further.shape.except("again")
        draft.put(:placements, further.with(shape: shape.empty? ? nil : shape))
      end

      # Lines that were at an occurrence are at the first one.
      def loosen(draft, element_id, gone)
        draft.relations_of(element_id).each do |line|
          roles = draft.placement(sheet_id, line.id)&.attached&.select { |_, at| at == gone } || {}
          roles.each_key { |role| Attach.new(sheet_id:, line_id: line.id, role:, key: element_id).apply(draft) }
        end
      end
    end
  end
end
