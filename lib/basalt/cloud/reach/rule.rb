# frozen_string_literal: true

module Basalt
  module Cloud
    module Reach
      # +direction+ is +in+ or +out+; +allows+ is false for what a list keeps off. +peer+ is an Addresses::Prefix, the id of a rule
      # group, or nil for anybody.
      Rule = Value.of(:id, :direction, :traffic, :peer, allows: true)
    end
  end
end
