# frozen_string_literal: true

module Basalt
  module Cloud
    module Reach
      # Where a party is, as routes and lists see it: all nil outside. +subnet_id+ is told of subnets alone in which addresses are
      # translated; what is +open+ has an address of the internet.
      Place = Value.of(:network_id, :subnet_id, :list_id, :table_id, :open)
    end
  end
end
