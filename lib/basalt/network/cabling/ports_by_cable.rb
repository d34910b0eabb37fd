# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # Which ports the ends of cables are at, each worked out when somebody asks for it.
      class PortsByCable
        # @param set [Model::WorkingSet, Change::Draft] that stays as it is
        def initialize(set)
          @set = set
          @ports = PortsByUnit.new(set)
          @met = {}
        end

        # @param cable [Model::Element]
        # @return [Array<Array(Model::End, Model::Element, Port)>] the ends at ports that their units have
        def [](cable) = @met[cable.id] ||= cable.ends.filter_map { |one| met(one) }

        # @return [Ports]
        def ports(unit) = @ports[unit]

        private

        def met(one)
          label = one.facts["port"] or return
          unit = @set.element(one.target_id)
          port = unit&.kind == "device" && @ports[unit].find(label)
          port && [one, unit, port]
        end
      end
    end
  end
end
