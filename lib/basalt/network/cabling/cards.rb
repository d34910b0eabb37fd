# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # Cards that come, go and move from slot to slot: their cables go with them, or what would be lost is named.
      module Cards
        module_function

        # What follows from an act as a whole, whichever way it put cards and models.
        #
        # @param draft [Change::Draft]
        # @raise [Mistake] naming the cables that would be lost
        def settle(draft)
          changed = draft.elements.differences.filter_map { |_, before, after| before || after }.select { |one| one.kind == Models::RELATION }
          changed.map { |one| one.target("unit") }.uniq.each do |id|
            unit = draft.element(id)
            Relabelling.cards(draft, unit) if unit && draft.base.element(id)
          end
        end

        # @param slot [Integer, nil]
        # @raise [Mistake] where a unit has no such slot
        def refuse_beyond(set, unit, slot)
          slots = Models.slots(set, unit)
          raise Mistake, "#{unit.name} has #{English.count(slots, "slot")}: there is no slot #{slot}" if slot && slots && slot > slots
        end

        # @param after [Model::Element] a unit, or the model of units, with another number of slots
        # @raise [Mistake] where a card sits in one that would be gone
        def fewer_slots(draft, _before, after)
          units = after.kind == Models::KIND ? Models.units(draft, after) : [after]
          units.each { |unit| Models.of(draft, unit).filter_map(&:last).each { |slot| refuse_beyond(draft, unit, slot) } }
        end
      end
    end
  end
end
