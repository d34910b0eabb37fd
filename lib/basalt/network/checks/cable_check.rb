# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # What the checks of cables share: units and ports by the ends of a cable, and the repair by another port.
      class CableCheck < Basalt::Checks::Check
        READS = (%w[link device outside ownership cabling] + [Cabling::Models::KIND, Cabling::Models::RELATION]).freeze

        def self.given(set) = Cabling::Rules.of(set)&.facts

        # A model that became another is in all its units.
        def self.reached(analysis, touched)
          touched.kinds.include?(Cabling::Models::KIND) ? analysis.set.of_kind(*each).to_set(&:id) : super
        end

        private

        # @return [Array<Array(Model::End, Model::Element, Cabling::Ports)>] the ends at devices
        def ends(cable)
          cable.ends.filter_map do |one|
            unit = set.element(one.target_id)
            [one, unit, ports(unit)] if unit&.kind == "device"
          end
        end

        # @return [Array<Array(Model::End, Model::Element, Cabling::Port)>] the ends at ports that are known; the same for all checks
        def met(cable) = analysis[Cabling::PortsByCable][cable]

        # Worked out once for all the cables of a unit, and all the checks.
        def ports(unit) = analysis[Cabling::PortsByCable].ports(unit)

        # @return [Cabling::Port, nil] that the end is at, where the unit's ports are known and it is one of them
        def port(one, ports) = one.facts["port"] && ports.find(one.facts["port"])

        # @return [String] the unit and the port at it
        def at(one, unit) = [unit.name, one.facts["port"]].compact.join(" ")

        def title(cable) = "The cable from #{cable.ends.map { |one| at(one, set.element(one.target_id)) }.join(" to ")}"

        # @return [Basalt::Checks::Repair, nil] nil where no port that fits is free
        def another_port(cable, one, unit)
          far = cable.ends.find { |other| other.role != one.role }
          far_unit = set.element(far.target_id)
          far_port = far_unit&.kind == "device" ? port(far, ports(far_unit)) : nil
          free = Cabling::NextFree.new(set, medium: cable["medium"], speed: cable["speed"]).port(unit, far_port) or return
          repair("Take #{unit.name} #{free.label}", Change::SetEnd.new(id: cable.id, role: one.role, facts: { "port" => free.label }))
        end
      end
    end
  end
end
