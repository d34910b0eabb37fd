# frozen_string_literal: true

module Basalt
  module Cloud
    module Reach
      # One side of a conversation, as rules see it: the blocks +around+ its address, its Place, and the rule groups it is in, sorted.
      # Two with the same of these are treated alike, but within a subnet. Equal parts are one object, so that they are found by what
      # they are.
      Party = Value.of(:around, :place, :group_ids) do
        extend Delegation

        delegate :network_id, :subnet_id, :list_id, :table_id, :open, to: :place

        def outside? = place.network_id.nil?
        def version = around.first.version
      end
    end
  end
end
