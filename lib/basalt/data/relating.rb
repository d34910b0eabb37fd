# frozen_string_literal: true

module Basalt
  module Data
    # Relationships of two: a verb in each direction, how many at each end, and the roles there.
    module Relating
      module_function

      # @param said [Hash] +one+, +verb+, +cardinality+, +other+, and the same of the way back
      def join(context, said)
        refuse_strangers(said)
        relationship =
          known(context.draft, said) ||
          context.add("relationship", name: said[:verb].to_str, ends: [["one", said[:one].id], ["other", said[:other].id]])
        context.set(relationship.id, "back", (said[:back].to_str unless said[:back].to_str == UNSAID)) if said[:back]
        decide(context, relationship, "other", "cardinality" => said[:cardinality], "role" => role(said, :other_role, :back_one_role))
        decide(context, relationship, "one", "cardinality" => said[:back_cardinality], "role" => role(said, :one_role, :back_other_role))
        context.qualify(relationship, said)
        context.show(said[:one], said[:other])
      end

      def tell(unparser, relationship)
        one, other = relationship.ends
        parts = clause(unparser, one, relationship.name, other, roles: true)
        parts += [:semicolon, *clause(unparser, other, relationship["back"], one)] if relationship["back"] || one.facts["cardinality"]
        qualities = Statements::Grammar.qualities("relationship").flat_map { |quality| quality.tell(unparser, relationship) }
        [
          unparser.say(*parts, *qualities.flat_map { |said| [:comma, *said] }),
          *Describing.tell(unparser, relationship, subject(unparser, relationship))
        ]
      end

      # The verb alone where it is the only one; otherwise with what it joins.
      def subject(unparser, relationship)
        return [unparser.thing(relationship.id)] if unparser.set.elements.count_by(:name, relationship.name) <= 1

        one, other = relationship.targets
        [unparser.thing(one), unparser.name(relationship.name), unparser.thing(other)]
      end

      def clause(unparser, from, verb, to, roles: false)
        entity = unparser.set.element(from.target_id)
        role = ->(joined) { roles && joined.facts["role"] ? ["as", unparser.word(joined.facts["role"])] : [] }
        [
          Noun.of(unparser.set, entity).article,
          unparser.thing(from.target_id),
          *role.call(from),
          unparser.name(verb || UNSAID),
          *to.facts["cardinality"],
          unparser.thing(to.target_id),
          *role.call(to)
        ]
      end

      # The other direction of a relationship whose verb there nobody said yet.
      UNSAID = "relates to"

      def known(set, said)
        set
          .relations_between(said[:one].id, said[:other].id, "relationship")
          .find { |relationship| relationship.name == said[:verb].to_str && relationship.targets == [said[:one].id, said[:other].id] }
      end

      # Either clause may say it.
      def role(said, here, there)
        found = said.values_at(here, there).compact.uniq
        raise Mistake, "the two clauses say different roles: #{found.join(" and ")}" if found.length > 1

        found.first
      end

      def decide(context, relationship, role, facts)
        facts = facts.compact
        Change::SetEnd.new(id: relationship.id, role:, facts:).apply(context.draft) if facts.any?
      end

      def refuse_strangers(said)
        return if said[:back].nil? || (said[:back_one] == said[:other] && said[:back_other] == said[:one])

        raise Mistake, "the second clause has to lead back from #{said[:other].name} to #{said[:one].name}"
      end
    end
  end
end
