# frozen_string_literal: true

module Basalt
  module Cloud
    module Reach
      # A subnet; +list_id+ and +table_id+ are nil where nothing is known of them.
      Subnet = Value.of(:id, :network_id, :list_id, :table_id)
    end
  end
end
