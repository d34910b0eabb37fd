# frozen_string_literal: true

module Basalt
  module Software
    module Components
      # What passes between a system and what stands around it by its context, and on which of its parts each line lands.
      class Surroundings
        # One line of the context: who is at its other end, what it is called, whether it goes outwards.
        Line = Value.of(:flow_id, :neighbour_id, :name, :outwards)

        # @param set [Model::WorkingSet, Change::Draft]
        # @param system_id [String] of a system or of the process that a context is about
        def initialize(set, system_id)
          @set = set
          @system_id = system_id
        end

        # @return [Array<Model::Element>] components within, however deep
        def components = @components ||= within(@system_id)

        # @return [Array<Line>] of the flows to and from whatever is not within it
        def lines
          @set.relations_of(@system_id, "flow").filter_map do |flow|
            from, to = flow.endpoints
            other = from == @system_id ? to : from
            next if from == to || inside?(other)

            Line.new(flow_id: flow.id, neighbour_id: other, name: flow.name, outwards: from == @system_id)
          end
        end

        # @param line [Line]
        # @return [Model::Element, nil] the component that takes it or hands it out
        def landing(line)
          @set
            .relations_of(line.neighbour_id, "exchange")
            .select { |one| one.target("neighbour") == line.neighbour_id && same?(one, line) }
            .map { |one| owner(one.target("component")) }
            .find { |one| components.any? { |component| component.id == one.id } }
        end

        def open_lines = lines.reject { |line| landing(line) }

        # @return [Array] changes by which a component takes a line, or hands it out
        def land(line, component_id)
          facts = { "what" => line.name, "hands" => (true if line.outwards) }.compact
          [Change::Add.new(kind: "exchange", ends: [["component", component_id], ["neighbour", line.neighbour_id]], facts:)]
        end

        private

        def same?(one, line) = one["what"].to_s.casecmp?(line.name.to_s) && (one["hands"] || false) == line.outwards
        def owner(id) = @set.element(id).then { |one| one.owner_id ? @set.element(one.owner_id) : one }
        def within(id) = @set.contents_of(id).flat_map { |one| [*([one] if one.kind == "component"), *within(one.id)] }

        def inside?(id)
          step = @set.element(id)
          step = step.container_id && @set.element(step.container_id) until step.nil? || step.id == @system_id
          !step.nil?
        end
      end
    end
  end
end
