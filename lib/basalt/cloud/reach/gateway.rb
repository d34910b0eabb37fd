# frozen_string_literal: true

module Basalt
  module Cloud
    module Reach
      # A way out of a network: its +sort+ is +internet+, or +translation+ for one that lets answers alone back in and is itself in a
      # subnet.
      Gateway = Value.of(:id, :sort, :network_id, :subnet_id)
    end
  end
end
