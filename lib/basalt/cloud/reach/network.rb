# frozen_string_literal: true

module Basalt
  module Cloud
    module Reach
      # A network and its Addresses::Prefix.
      Network = Value.of(:id, :prefixes)
    end
  end
end
