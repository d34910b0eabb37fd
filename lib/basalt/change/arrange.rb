# frozen_string_literal: true

module Basalt
  module Change
    # Puts a placement somewhere: any of +x+, +y+, +w+, +h+, +pinned+, +shape+, +route+.
    Arrange = Value.of(:placement_id, :to) do
      def apply(draft)
        placement = draft.placements[placement_id] or raise Refusals::GoneFromSheet
        altered = placement.with(**to)
        draft.put(:placements, altered) unless altered == placement
      end
    end
  end
end
