# frozen_string_literal: true

module Basalt
  module Data
    # Entities that are a kind of another.
    module Specialising
      module_function

      # @return [Array<Model::Element>] the kinds of an entity, in order
      def kinds(set, general_id) =
        set
          .relations_of(general_id, "specialisation")
          .select { |one| one.target("general") == general_id }
          .map { |one| set.element(one.target("special")) }

      # @return [Array<Model::Element>] what an entity is a kind of
      def generals(set, special_id) =
        set
          .relations_of(special_id, "specialisation")
          .select { |one| one.target("special") == special_id }
          .map { |one| set.element(one.target("general")) }

      def join(context, special, general)
        if special.id == general.id || below?(context.draft, general, special)
          raise Mistake, "#{general.name} is itself a kind of #{special.name}"
        end
        return if kinds(context.draft, general.id).any? { |known| known.id == special.id }

        context.add("specialisation", ends: [["special", special.id], ["general", general.id]])
        context.show(special, general)
      end

      # @return [Boolean] whether an entity is a kind of another, however far up
      def below?(set, entity, other) = kinds(set, other.id).any? && above(set, entity.id).include?(other.id)

      # @return [Set<String>] ids of all that an entity is a kind of, however far up
      def above(set, id)
        found = Set.new
        waiting = [id]
        while (one = waiting.pop)
          generals(set, one).each { |general| waiting << general.id if found.add?(general.id) }
        end
        found
      end

      def one(context, said) = join(context, named(context, said[:special]), named(context, said[:general]))

      # @param split [String] one of Kinds::SPLITS
      def all(context, said, split)
        general = named(context, said[:general])
        said[:kinds].each { |name| join(context, named(context, name), general) }
        context.set(general.id, "split", split)
        context.set(general.id, "complete", said[:complete] ? true : nil)
      end

      # Such a sentence makes what it names.
      def named(context, name)
        known = context.find(name.to_str, ["entity"])
        raise Refusals::NameAmbiguous.new(known.length, "entities", name) if known.length > 1

        known.first || context.add("entity", name: name.to_str)
      end

      # The first of its kinds tells of all, once it is said how they divide it.
      def tell(unparser, specialisation)
        general = unparser.set.element(specialisation.target("general"))
        special = unparser.set.element(specialisation.target("special"))
        return [unparser.say(unparser.name(special.name), "is a kind of", unparser.name(general.name))] unless general["split"]

        kinds = kinds(unparser.set, general.id)
        kinds.first.id == special.id ? [group(unparser, general, kinds)] : []
      end

      def group(unparser, general, kinds)
        listed =
          kinds.each_with_index.flat_map do |kind, index|
            [*(index.zero? ? [] : [index == kinds.length - 1 ? "or" : :comma]), unparser.name(kind.name)]
          end
        unparser.say(
          unparser.name(general.name),
          general["split"] == "disjoint" ? "is either" : "is any of",
          *listed,
          *([:comma, "complete"] if general["complete"])
        )
      end

      def retract(context, said)
        general = named(context, said[:general])
        context.set(general.id, "split", nil)
        context.set(general.id, "complete", nil)
        names = said[:kinds].map(&:to_str)
        context
          .draft
          .relations_of(general.id, "specialisation")
          .select { |one| names.include?(context.draft.element(one.target("special")).name) }
          .each { |one| context.draft.apply(Change::Remove.new(id: one.id)) }
      end
    end
  end
end
