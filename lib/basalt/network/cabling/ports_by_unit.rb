# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # The ports of all units of a set, those of each worked out when somebody asks for them.
      class PortsByUnit
        # @param set [Model::WorkingSet, Change::Draft] that stays as it is
        def initialize(set)
          @set = set
          @numbering = Numbering.of(set)
          @ports = {}
        end

        # @param unit [Model::Element]
        # @return [Ports]
        def [](unit) = @ports[unit.id] ||= Ports.of(@set, unit, @numbering)
      end
    end
  end
end
