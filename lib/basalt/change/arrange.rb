# frozen_string_literal: true

module Basalt
  module Change
    # Puts a placement somewhere: any of +x+, +y+, +w+, +h+, +pinned+, +shape+, +route+.
    Arrange = Value.of(:placement_id, :to) do
      # @param placement [Model::Placement] as it stands in the draft
      # @param to [Hash]
      def self.put(draft, placement, to)
        altered = placement.with(**to)
        draft.put(:placements, altered) unless altered == placement
      end

      def apply(draft) = self.class.put(draft, draft.placements[placement_id] || raise(Refusals::GoneFromSheet), to)
    end
  end
end
