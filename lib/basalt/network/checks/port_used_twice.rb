# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # Two cables at one port. A port of a patch panel carries one on each face.
      class PortUsedTwice < CableCheck
        rule "port-used-twice", :error, reads: READS, each: "device", near: 2

        def about(unit)
          return [] if labels(unit).uniq!.nil?

          Cabling::CableEnds
            .by_label(set, unit.id)
            .flat_map { |label, ends| ends.uniq { |one| one.cable.id }.drop(faces(unit)).map { |one| twice(unit, label, one, ends.first) } }
        end

        private

        # @return [Array<String>] of the ports at which cables end, each as often as one does
        def labels(unit)
          set.relations_of(unit.id, "link").flat_map { |cable|
            cable.ends.filter_map { |one|
              one.facts["port"] if one.target_id == unit.id
            }
          }
        end

        def faces(unit) = unit["role"] == "patch panel" ? 2 : 1

        def twice(unit, label, second, first)
          finding(
            [second.cable.id, unit.id],
            "#{unit.name} #{label} is used #{faces(unit) == 1 ? "twice" : "three times"}",
            "The cables to #{far(first)} and to #{far(second)} cannot both be plugged in there.",
            repair: another_port(second.cable, second.cable.ends.find { |one| one.role == second.role }, unit)
          )
        end

        def far(one) = one.others.map { |other| at(other, set.element(other.target_id)) }.join
      end
    end
  end
end
