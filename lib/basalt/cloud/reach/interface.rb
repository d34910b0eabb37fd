# frozen_string_literal: true

module Basalt
  module Cloud
    module Reach
      # Where a thing is on a network. +owner_id+ is the thing's, +subnet_id+ where it is, +group_ids+ the rule groups it is in;
      # +address+ is an Addresses::Address, or the Addresses::Prefix it will have one of; one that is +open+ has an address of the
      # internet besides.
      Interface = Value.of(:id, :owner_id, :address, :subnet_id, :group_ids, :open)
    end
  end
end
