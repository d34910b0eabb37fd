# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # An attribute of one end that varies with the relationship: its name says the other end or the verb.
      class AttributeOnWrongSide < Basalt::Checks::Check
        rule "attribute-on-wrong-side", :hint, reads: %w[entity attribute relationship]

        def findings
          set
            .of_kind("relationship")
            .select { |one| many_to_many?(one) }
            .flat_map do |one|
              one
                .ends
                .zip(one.ends.reverse)
                .flat_map { |at, across| at.target_id == across.target_id ? [] : varying(one, at.target_id, across.target_id) }
            end
        end

        private

        def many_to_many?(one) = one.ends.all? { |joined| Cardinality.read(joined.facts["cardinality"]).most.to_f > 1 }

        def varying(one, entity_id, other_id)
          other = set.element(other_id)
          verb = one.name.split.first.to_s.downcase.delete_suffix("s")
          Describing
            .of(set, entity_id)
            .select { |attribute| says?(attribute.name.downcase, other.name.downcase, verb) }
            .map do |attribute|
              finding(
                [entity_id, one.id],
                "#{attribute.name} of #{set.element(entity_id).name} depends on the #{other.name}",
                "It differs with each #{other.name}, so it is a fact of “#{one.name}”.",
                repair: repair("Move it to “#{one.name}”", Owning.new(id: attribute.id, owner_id: one.id))
              )
            end
        end

        def says?(words, other, verb) = words.include?(other) || (verb.length > 3 && words.split.any? { |word| word.start_with?(verb) })
      end
    end
  end
end
