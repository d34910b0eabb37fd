# frozen_string_literal: true

module Basalt
  module Change
    # Puts a placement somewhere: any of +x+, +y+, +w+, +h+, +pinned+, +shape+, +route+.
    Arrange = Value.of(:placement_id, :to) do
      # Puts it there, unless it stands so already.
      #
      # @param placement [Model::Placement] as it stands in the draft
      # @param to [Hash]
      def self.put(draft, placement, to)
        draft.put(:placements, placement.with(**to)) unless to.all? { |member, value| placement[member] == value }
      end

      def apply(draft) = self.class.put(draft, draft.placements[placement_id] || raise(Refusals::GoneFromSheet), to)
    end
  end
end
