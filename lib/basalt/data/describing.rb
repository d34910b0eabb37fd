# frozen_string_literal: true

module Basalt
  module Data
    # Entities and their attributes.
    module Describing
      module_function

      # @param said [Hash] +entity+ and +attributes+
      def add(context, said)
        said[:attributes].each do |item|
          name = Model::Names.clean(item.name)
          attribute = of(context.draft, said[:entity].id).find { |known| known.name == name } ||
                      context.add("attribute", name:, owner_id: said[:entity].id)
          item.qualities.each { |quality| context.set(attribute.id, quality, true) }
        end
        context.show(said[:entity])
      end

      # Takes attributes back that a sentence told and another in its place does not; one that
      # stands where another stood is the same under a new name.
      def withdraw(context, said, other)
        old, fresh = [said, other].map { |one| one ? one[:attributes].map { |item| Model::Names.clean(item.name) } : [] }
        attributes = of(context.draft, said[:entity].id).to_h { |attribute| [attribute.name, attribute] }
        old.each_with_index do |name, index|
          attribute = attributes[name] or next
          next context.draft.apply(clearing(attribute)) if fresh.include?(name)

          renamed = fresh.length == old.length && !old.include?(fresh[index]) ? fresh[index] : nil
          context.draft.apply(renamed ? [Change::Set.new(id: attribute.id, fact: "name", value: renamed), *clearing(attribute)] : Change::Remove.new(id: attribute.id))
        end
      end

      def clearing(attribute) = AttributesSlot::WORDS.map { |word| Change::Set.new(id: attribute.id, fact: word, value: nil) }

      # @return [Array<Model::Element>] in their order
      def of(set, entity_id) = set.parts_of(entity_id).select { |part| part.kind == "attribute" }

      def tell(teller, entity)
        attributes = of(teller.set, entity.id)
        return [] if attributes.empty?

        items = attributes.flat_map { |attribute| [:comma, teller.name(attribute.name), *AttributesSlot::WORDS.select { |word| attribute[word] }] }
        [teller.say(teller.thing(entity.id), "has", *items.drop(1))]
      end
    end
  end
end
