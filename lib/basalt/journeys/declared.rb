# frozen_string_literal: true

module Basalt
  module Journeys
    # What is declared for journeys: which states a thing goes through, by what a store is asked, which requirement a step meets.
    module Declared
      BETWEEN = NameListSlot::BETWEEN
      # The relation by which anything says that it is there for a requirement.
      MEETS = "meets"

      module_function

      # @param names [Array<String>] the first being the one that a thing begins with
      # @param ends [Array<String>, nil] those in which it may stay; the last where none are said
      def states(context, thing, names, ends)
        twice = names.tally.find { |_, count| count > 1 }
        raise Mistake, "#{thing.name} goes through #{twice.first} twice: a state is named once" if twice

        strange = (ends || []) - names
        raise Mistake, "#{strange.first} is none of the states that #{thing.name} goes through" if strange.any?

        one = of(context.draft, K::STATES, "of", thing.id).first || context.add(K::STATES, ends: [["of", thing.id]])
        context.set(one.id, "names", names.join(BETWEEN))
        context.set(one.id, "ends", ends&.join(BETWEEN))
      end

      K = Kinds

      def unsaid(context, kind, role, said, other)
        return if other && other[:thing]&.id == said[:thing].id

        of(context.draft, kind, role, said[:thing].id).each { |one| context.draft.apply(Change::Remove.new(id: one.id)) }
      end

      def asking(context, store, facts)
        return if of(context.draft, K::ASKING, "store", store.id).any? { |one| Asking.facts(one["by"]) == Asking.facts(facts) }

        context.set(context.add(K::ASKING, ends: [["store", store.id]]).id, "by", facts)
      end

      def asked_no_more(context, store, facts)
        found = of(context.draft, K::ASKING, "store", store.id).find { |one| Asking.facts(one["by"]) == Asking.facts(facts) }
        context.draft.apply(Change::Remove.new(id: found.id)) if found
      end

      def of(set, kind, role, id) = set.relations_of(id, kind).select { |one| one.target(role) == id }

      # @return [Array<String>] ids of the requirements that a journey or step meets
      def met(set, id) = of(set, MEETS, "thing", id).map { |one| one.target("requirement") }

      def meeting(context, step, requirement)
        return if met(context.draft, step.id).include?(requirement.id)

        context.add(MEETS, ends: [["thing", step.id], ["requirement", requirement.id]])
      end

      def meeting_no_more(context, step, requirement)
        of(context.draft, MEETS, "thing", step.id).each do |one|
          context.draft.apply(Change::Remove.new(id: one.id)) if one.target("requirement") == requirement.id
        end
      end
    end
  end
end
