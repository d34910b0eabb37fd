# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # Many units cabled to one in a sentence: +uplink acc-01..acc-30 to core-01 twice, fibre 10G+. Ports are proposed one by
      # one, and taken.
      module Uplinks
        NAMED = 5

        module_function

        # @param said [Hash] +units+, +other+, +qualities+
        # @raise [Mistake] naming the units for which no port is left; then nothing is taken
        def plan(context, said)
          wanted = Links.count(said)
          left = said[:units].uniq.reject { |unit| cabled?(context, unit, said, wanted) }
          raise Mistake, refusal(said, left) if left.any?

          context.show(*said[:units], said[:other])
        end

        # Cables that are there already count.
        def cabled?(context, unit, said, wanted)
          raise Mistake, "#{unit.name} cannot be an uplink of itself" if unit.id == said[:other].id

          there = context.draft.relations_between(unit.id, said[:other].id, "link").length
          (wanted - there).times.all? { add(context, unit, said) }
        end

        def add(context, unit, said)
          pair = NextFree.new(context.draft, **decided(said)).pair(unit, said[:other]) or return false
          cable = context.add("link", facts: pair.facts, ends: pair.ends(unit.id, said[:other].id))
          context.qualify(cable, said)
          true
        end

        def decided(said) = said[:qualities].map(&:last).reduce({}, :merge).slice(:medium, :speed)

        def refusal(said, left)
          names = left.first(NAMED).map(&:name)
          names << "#{left.length - NAMED} more" if left.length > NAMED
          what = decided(said).values.join(" ")
          "there are no free ports #{"for #{what} " unless what.empty?}between #{said[:other].name} and #{English.list(names)}; nothing " \
            "was cabled"
        end
      end
    end
  end
end
