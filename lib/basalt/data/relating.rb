# frozen_string_literal: true

module Basalt
  module Data
    # Relationships: a verb in each direction, and how many at each end.
    module Relating
      module_function

      # @param said [Hash] +one+, +verb+, +cardinality+, +other+, and the same of the way back
      def join(context, said)
        refuse_strangers(said)
        relationship = known(context.draft, said) ||
                       context.add("relationship", name: said[:verb].to_str, ends: [["one", said[:one].id], ["other", said[:other].id]])
        context.set(relationship.id, "back", said[:back].to_str) if said[:back]
        decide(context, relationship, "other", said[:cardinality])
        decide(context, relationship, "one", said[:back_cardinality])
        context.show(said[:one], said[:other])
      end

      def tell(teller, relationship)
        one, other = relationship.ends
        parts = clause(teller, one, relationship.name, other)
        parts += [:semicolon, *clause(teller, other, relationship["back"], one)] if relationship["back"]
        [teller.say(*parts)]
      end

      def clause(teller, from, verb, to)
        entity = teller.set.element(from.target_id)
        [English.article(entity.name), teller.thing(from.target_id), teller.name(verb), *to.facts["cardinality"], teller.thing(to.target_id)]
      end

      def known(set, said)
        set.relations_of(said[:one].id, "relationship").find do |relationship|
          relationship.name == said[:verb].to_str && relationship.targets == [said[:one].id, said[:other].id]
        end
      end

      def decide(context, relationship, role, cardinality)
        Change::SetEnd.new(id: relationship.id, role:, facts: { "cardinality" => cardinality }).apply(context.draft) if cardinality
      end

      def refuse_strangers(said)
        return if said[:back].nil? || (said[:back_one] == said[:other] && said[:back_other] == said[:one])

        raise Mistake, "the second clause has to lead back from #{said[:other].name} to #{said[:one].name}"
      end
    end
  end
end
