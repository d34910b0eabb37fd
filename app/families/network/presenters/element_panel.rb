# frozen_string_literal: true

module Web
  module Families
    module Network
      module Presenters
        # Where a cable leads in the end, and what hangs on a unit.
        class ElementPanel
          TEMPLATES = { "link" => :cable_facts, "device" => :unit_facts }.freeze
          private_constant :TEMPLATES

          def initialize(project:, sheet:, element:)
            @set = project.set
            @sheet = sheet
            @element = element
          end

          # @return [Symbol, nil]
          def template = @sheet.notation_name == Basalt::Network::Notation::Physical::NAME ? TEMPLATES[@element.kind] : nil

          # @return [Array<Array(String, String, String)>] for each end of the cable the way in words, why it ends there, and the ids
          #   to light
          def traces
            @element.ends.map do |one|
              start = Basalt::Network::Cabling::CableEnds::End.new(
                cable: @element,
                role: one.role,
                unit_id: one.target_id,
                label: one.facts["port"]
              )
              trace = Basalt::Network::Cabling::Trace.along(@set, start)
              way = trace.steps.map { |step| [@set.element(step.unit_id).name, step.label].compact.join(" ") }.join(" → ")
              [way, trace.why, [*trace.units, *trace.cables].join(" ")]
            end
          end

          # Both directions tell the same where the cable goes straight from unit to unit.
          def ways = traces.then { |both| both.all? { |way, *| way.count("→") == 1 } ? both.first(1) : both }

          # @return [Integer] members of a stack that can be lost alone; 0 where it is none
          def members = ports.stacked? ? ports.members : 0
          def ports = @ports ||= Basalt::Network::Cabling::Ports.of(@set, @element)
        end
      end
    end
  end
end
