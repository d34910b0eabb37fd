# frozen_string_literal: true

module Basalt
  module Software
    # What is a kind of what: classes, actors and use cases, each among its own (UML 2.5.1, 9.7).
    module Generalising
      # The relation by which things of a kind are kinds of each other.
      RELATIONS = {
        "class" => "generalisation",
        "actor" => "actor generalisation",
        "use case" => "use case generalisation"
      }.freeze
      KINDS = RELATIONS.values.freeze

      module_function

      # @param said [Hash] +special+ and +general+, elements or names of what is to be made
      def say(context, said)
        kind = kind(context, said)
        special, general = [said[:special], said[:general]].map { |one| known(context, one, kind) }
        unless special.kind == general.kind
          raise Mistake, "#{special.name}, a #{special.noun}, cannot be a kind of #{general.name}, a #{general.noun}"
        end

        join(context, special, general)
      end

      def join(context, special, general)
        context.show(special, general)
        return if direct(context.draft, special.id).include?(general.id)

        context.add(RELATIONS.fetch(special.kind), ends: [["special", special.id], ["general", general.id]])
      end

      # @return [Array<String>] ids of what something is directly a kind of
      def direct(set, id) = ends(set, id, "special", "general")

      # @return [Array<String>] ids of what is directly a kind of it
      def beneath(set, id) = ends(set, id, "general", "special")

      def ends(set, id, here, there) =
        set.relations_of(id, *KINDS).select { |one| one.target(here) == id }.map { |one| one.target(there) }.uniq

      # @return [Array<String>] ids of all that something is a kind of, the nearest first; circles are gone round once
      def above(set, id) = reached([id]) { |one| direct(set, one) }

      # @return [Array<String>] ids of all that is a kind of it
      def below(set, id) = reached([id]) { |one| beneath(set, one) }

      def reached(ids)
        found = []
        until ids.empty?
          ids = ids.flat_map { |id| yield id }.uniq - found
          found += ids
        end
        found
      end

      # On sheets they are kinds of each other, elsewhere one specialises the other.
      def tell(unparser, one, verb)
        [unparser.say(unparser.thing(one.target("special")), verb, unparser.thing(one.target("general")))]
      end

      # A name that nobody knows is that of what the other is; where nobody knows either, the sheet tells.
      def kind(context, said)
        known = said.values_at(:special, :general).find { |one| one.is_a?(Model::Element) }
        known&.kind || (context.sheet.notation_name == "classes" ? "class" : "actor")
      end

      def known(context, one, kind)
        return one if one.is_a?(Model::Element)

        around = context.sheet.subject_id if context.sheet.notation.within?(kind)
        context.add(kind, name: one.to_str, container_id: around)
      end
    end
  end
end
