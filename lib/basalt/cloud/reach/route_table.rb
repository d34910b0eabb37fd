# frozen_string_literal: true

module Basalt
  module Cloud
    module Reach
      # +routes+ are pairs of an Addresses::Prefix and the id of a gateway or a peering, nil where what is sent there is dropped.
      RouteTable = Value.of(:id, :routes)
    end
  end
end
