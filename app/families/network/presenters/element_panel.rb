# frozen_string_literal: true

module Web
  module Families
    module Network
      module Presenters
        # Where a cable leads in the end, and what hangs on a unit.
        class ElementPanel
          TEMPLATES = { "link" => :cable_facts, "device" => :unit_facts }.freeze
          NOTATIONS = %i[Logical Physical Unit Rack].map { |name| Basalt::Network::Notation.const_get(name)::NAME }.freeze
          private_constant :TEMPLATES, :NOTATIONS

          def initialize(project:, sheet:, element:)
            @set = project.set
            @sheet = sheet
            @element = element
          end

          # Cables that are told beside a unit.
          MOST = 6
          private_constant :MOST

          # @return [Symbol, nil]
          def template
            return :place_facts if @element.kind == "place"
            return :image_scale if @element["image"] && @sheet.notation_name == Basalt::Network::Notation::FloorPlan::NAME

            cabling? ? TEMPLATES[@element.kind] : nil
          end

          # @return [PlacePanel] the racks of a place
          def place = @place ||= PlacePanel.new(@set, @element)

          # @return [Boolean] whether it is told what a unit is on the logical and on the physical level
          def levels? = @element.kind == "device" && NOTATIONS.include?(@sheet.notation_name)

          # @return [Array<String>] each subnet it stands on, with the address there
          def subnets
            @set.relations_of(@element.id, "attachment").map do |one|
              [@set.element(one.target("subnet")).name, one["address"] || "without an address", *("gateway" if one["gateway"])].join(", ")
            end
          end

          # @return [String] how many ports are used and free
          def counts
            return "not said" unless ports.known?

            free = Basalt::Network::Cabling::FreePorts.new(@set, @element).count
            "#{ports.count - free} of #{ports.count} used"
          end

          # @return [Array<String>] the first cables: the port, and where it leads
          def cables
            cable_ends.first(MOST).map do |one|
              far = one.others.first
              [one.label, "to", @set.element(far.target_id).name, far.facts["port"]].compact.join(" ")
            end
          end

          def more_cables = [cable_ends.length - MOST, 0].max

          # @return [Array<Array(String, String)>] id and ends of each cable of its bundle; none where it is alone
          def bundle
            drawn = Basalt::Drawing::AsDrawn.of(@set, @sheet.id)
            cables = drawn.respond_to?(:bundled) ? drawn.bundled(@element) : []
            return [] if cables.length < 2

            cables.map do |cable|
              [cable.id, cable.ends.map { |one| [@set.element(one.target_id).name, one.facts["port"]].compact.join(" ") }.join(" to ")]
            end
          end

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

          private

          def cabling? = NOTATIONS[1..2].include?(@sheet.notation_name)
          def cable_ends = @cable_ends ||= Basalt::Network::Cabling::CableEnds.of(@set, @element.id)
        end
      end
    end
  end
end
