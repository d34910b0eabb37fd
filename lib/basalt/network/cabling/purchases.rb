# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # What there is to buy for the cables of a schedule, by what is alike; what a carrier brings and what goes by radio is not bought.
      class Purchases
        # +plugs+ are the connectors at both ends, where those are said; +length+ m each, nil where it is not measured.
        Cables =
          Value.of(:medium, :speed, :length, :plugs, :count) do
            # @return [Integer, nil] m in all
            def together = length && (length * count)
          end
        # What is plugged into ports that take it, so that a cable fits.
        Modules = Value.of(:medium, :speed, :connector, :count)

        # @param set [Model::WorkingSet, Change::Draft]
        # @param cables [Array<Model::Element>]
        def initialize(set, cables)
          @set = set
          @cables = cables.reject { |cable| cable["circuit"] || cable["medium"] == "radio" }
          @ports = PortsByUnit.new(set)
        end

        # @return [Array<Cables>] by medium, speed and length
        def cables
          alike = @cables.group_by { |cable| [*cable.facts.values_at("medium", "speed", "length"), plugs(cable)] }
          found = alike.map { |(medium, speed, length, plugs), all| Cables.new(medium:, speed:, length:, plugs:, count: all.length) }
          found.sort_by { |one| [*order(one), one.length || Float::INFINITY, one.plugs.to_s] }
        end

        # @return [Array<Modules>] by medium and speed
        def modules
          needed = @cables.flat_map { |cable| ports(cable).select { |port| port&.group&.pluggable }.map { |port| [cable, port] } }
          alike = needed.group_by { |cable, port| [cable["medium"], cable["speed"] || port.speed, port.connector] }
          alike.map { |(medium, speed, connector), all|
            Modules.new(medium:, speed:, connector:, count: all.length)
          }.sort_by { |one| order(one) }
        end

        private

        def order(one) = [one.medium.to_s, Speed.bits(one.speed).to_f]

        # @return [Array<Port, nil>] at both ends
        def ports(cable)
          cable.ends.map do |one|
            unit = @set.element(one.target_id)
            unit.kind == "device" && one.facts["port"] ? @ports[unit].find(one.facts["port"]) : nil
          end
        end

        # @return [String, nil]
        def plugs(cable)
          connectors = ports(cable).map { |port| port&.connector }
          connectors.any? ? connectors.map { |one| one || "?" }.sort.join(" – ") : nil
        end
      end
    end
  end
end
