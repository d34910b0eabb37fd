# frozen_string_literal: true

module Basalt
  module Cloud
    module Reach
      # Two networks that are joined.
      Peering = Value.of(:id, :network_ids)
    end
  end
end
