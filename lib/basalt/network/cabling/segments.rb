# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # Which units reach each other by cables that carry a VLAN, without anything that would route between.
      class Segments
        # What passes a VLAN on.
        PASSING = ["switch", "patch panel", "access point", "modem"].freeze

        # @param set [Model::WorkingSet, Change::Draft]
        def initialize(set)
          @set = set
        end

        # @param ids [Array<String>] of units
        # @param vlan [Integer, nil]
        # @return [Array<Array<String>>] the units that reach each other, the largest part first
        def parts(ids, vlan)
          left = ids.uniq
          found = []
          until left.empty?
            reached = reached(left.first, vlan)
            part, left = left.partition { |id| id == left.first || reached.include?(id) }
            found << part
          end
          found.sort_by { |part| [-part.length, @set.element(part.first).ordinal] }
        end

        # @return [Array<Model::Element>] what of its cables carries data within the house
        def cables(id)
          @set.relations_of(id, "link").reject do |cable|
            cable["medium"] == "power" || cable["circuit"] || cable.targets.uniq.one? ||
              cable.targets.any? { |target| @set.element(target)&.kind == "outside" }
          end
        end

        def passes?(id) = @set.element(id)&.then { |unit| unit.kind == "device" && PASSING.include?(unit["role"]) }

        private

        def reached(start, vlan)
          found = Set.new
          waiting = [start]
          while (id = waiting.pop)
            next unless found.add?(id) && (id == start || passes?(id))

            cables(id).each { |cable| waiting.concat(cable.targets) if cable.ends.all? { |one| Vlans.carries?(one, vlan) } }
          end
          found
        end
      end
    end
  end
end
