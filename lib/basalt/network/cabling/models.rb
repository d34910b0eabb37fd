# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # The library of a project: models that units are of, and cards that sit in their slots. A unit has the ports of its
      # own, of its model, and of its cards.
      module Models
        KIND = "model"
        RELATION = "made of"

        module_function

        # @return [Array<Array(Model::Element, Integer)>] models of a unit, each with the slot it sits in, nil for the unit itself
        def of(set, unit)
          made = set.relations_of(unit.id, RELATION)
          return made if made.empty?

          made
            .select { |one| one.target("unit") == unit.id }
            .sort_by { |one| [slot(one) || -1, one.ordinal] }
            .filter_map { |one| set.element(one.target("model"))&.then { |model| [model, slot(one)] } }
        end

        # @return [Array<Model::Element>] the units that are of a model, or have it as a card
        def units(set, model) = set.relations_of(model.id, RELATION).filter_map { |one| set.element(one.target("unit")) }

        def slot(relation) = relation.ends.find { |one| one.role == "model" }.facts["slot"]

        # @param slot [Integer, nil] nil where it is what the unit is
        def give(context, unit, model, slot)
          known = relations(context.draft, unit, slot)
          return if known.any? { |one| one.target("model") == model.id }

          Cards.refuse_beyond(context.draft, unit, slot)

          known.each { |one| context.draft.apply(Change::Remove.new(id: one.id)) }
          ends = [["unit", unit.id], ["model", model.id, { "slot" => slot }]]
          context.add(RELATION, ends:)
          refuse_twice(context.draft, unit)
        end

        # @param slot [Integer, nil] nil for what the unit is
        def take_out(context, unit, slot = nil)
          relations(context.draft, unit, slot).each { |one| context.draft.apply(Change::Remove.new(id: one.id)) }
        end

        # @return [Integer, nil] how many slots a unit has, where that is said of it or of its model
        def slots(set, unit) = unit["slots"] || of(set, unit).filter_map { |model, slot| model["slots"] unless slot }.first

        # The ports of all of it are read, and refused where one would be there twice.
        def refuse_twice(draft, unit) = Ports.of(draft, unit).groups.combination(2) { |one, other| PortGroups.refuse_overlap(one, other) }

        def relations(set, unit, slot)
          set.relations_of(unit.id, RELATION).select { |one| one.target("unit") == unit.id && slot(one) == slot }
        end
      end
    end
  end
end
