# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # One port of a unit: its label in the project's numbering, and what it is made of. It is in no database: a pattern makes it.
      Port =
        Value.of(:label, :name, :member, :slot, :group) do
          extend Delegation

          delegate :takes, :speed, :connector, :power?, :use, to: :group
        end
    end
  end
end
