# frozen_string_literal: true

module Basalt
  module Data
    # Attributes, of entities, relationships and meetings, and the parts of attributes.
    module Describing
      FACTS = %w[key partial required many kept derived source rule becomes meaning synonyms].freeze

      module_function

      # @param said [Hash] +owner+ and +attributes+
      def add(context, said)
        owner =
          said[:owner] || Relating.known(context.draft, said) ||
          raise(Mistake, "#{said[:one].name} #{said[:verb]} no #{said[:other].name}")
        said[:attributes].each { |item| take(context, owner.id, item) }
        context.show(owner)
      end

      def take(context, owner_id, item)
        name = Model::Names.clean(item.name)
        attribute = context.draft.part_named(owner_id, "attribute", name) || context.add("attribute", name:, owner_id:)
        item.facts.each { |fact, value| context.set(attribute.id, fact, value) }
        item.parts.each { |part| take(context, attribute.id, part) }
      end

      # Takes attributes back that a sentence told and another in its place does not; one that
      # stands where another stood is the same under a new name.
      def withdraw(context, said, other)
        owner = said[:owner] || Relating.known(context.draft, said) or return
        old, fresh = [said, other].map { |one| one ? one[:attributes].map { |item| Model::Names.clean(item.name) } : [] }
        attributes = of(context.draft, owner.id).to_h { |attribute| [attribute.name, attribute] }
        old.each_with_index do |name, index|
          attribute = attributes[name] or next
          next context.draft.apply(clearing(context.draft, attribute)) if fresh.include?(name)

          renamed = fresh.length == old.length && !old.include?(fresh[index]) ? fresh[index] : nil
          context.draft.apply(
            (
              if renamed
                [Change::Set.new(id: attribute.id, fact: "name", value: renamed), *clearing(context.draft, attribute)]
              else
                Change::Remove.new(id: attribute.id)
              end
            )
          )
        end
      end

      # What a sentence in its place says anew.
      def clearing(set, attribute)
        FACTS.map { |fact| Change::Set.new(id: attribute.id, fact:, value: nil) } +
          of(set, attribute.id).map { |part| Change::Remove.new(id: part.id) }
      end

      # @return [Array<Model::Element>] in their order
      def of(set, owner_id) = set.parts_of(owner_id).select { |part| part.kind == "attribute" }

      # @return [Array<Model::Element>] attributes without parts, and the parts of the others
      def simple(set, owner_id)
        of(set, owner_id).flat_map { |attribute| of(set, attribute.id).empty? ? [attribute] : simple(set, attribute.id) }
      end

      # @param subject [Array] the parts of the sentence that name the owner
      def tell(unparser, owner, subject = [unparser.thing(owner.id)])
        unparser.say_list([*subject, "has"], of(unparser.set, owner.id).map { |attribute| words(unparser, attribute) })
      end

      def told(unparser, attributes)
        attributes.flat_map { |attribute| [:comma, *words(unparser, attribute)] }.drop(1)
      end

      def words(unparser, attribute)
        parts = of(unparser.set, attribute.id)
        [
          unparser.name(attribute.name),
          *([:open, *told(unparser, parts), :close] if parts.any?),
          *AttributesSlot::FLAGS.filter_map { |fact, said| said if attribute[fact] },
          *(attribute["derived"] ? derived(unparser, attribute) : []),
          *AttributesSlot::TEXTS.flat_map { |fact, said| attribute[fact] ? [said, Statements::Quoting.quote(attribute[fact])] : [] }
        ]
      end

      def derived(unparser, attribute) = ["derived", *(["from", unparser.name(attribute["source"])] if attribute["source"])]
    end
  end
end
