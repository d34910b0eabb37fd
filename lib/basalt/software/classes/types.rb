# frozen_string_literal: true

module Basalt
  module Software
    module Classes
      # The names of classes in the types of features.
      module Types
        # UML's own (UML 2.5.1, clause 21) and those that every language has under such a name.
        KNOWN = %w[
          Boolean Integer Real String UnlimitedNatural Time Date DateTime Duration Decimal Float Double Symbol Byte Bytes Character URI
          Object Any Void void nil self Array List Set Map Hash Collection Sequence Bag OrderedSet Range Enumerator Iterator Proc
          Function Optional boolean int integer long short float double char byte string number
        ].to_set.freeze
        NAME = /[\p{L}_][\p{L}\p{N}_]*(?:(?:::|\.)[\p{L}_][\p{L}\p{N}_]*)*/

        module_function

        # @param text [String, nil] a type
        # @return [Array<String>] the names in it; the last words of those that are qualified
        def names(text) = text.to_s.scan(NAME).map { |name| name.split(/::|\./).last }.uniq

        # @return [Array<String>] the names in the types of a feature and of what it takes
        def of(part)
          return [] if part.kind == "literal"

          (names(part["type"]) + (part["parameters"] ? Facts.parameters(part).flat_map { |one| names(one.type) } : [])).uniq
        end

        # @return [Array<Model::Element>] the classes that a name may mean: those in the package of the owner before all others
        def classes(set, name, owner = nil)
          found = set.named(name, "class")
          near = owner && found.select { |one| one.container_id == owner.container_id }
          near&.any? ? near : found
        end

        # @return [Boolean] whether a name is one of the language, a parameter of the owner's template, or a class
        def known?(set, name, owner) =
          KNOWN.include?(name) || template(owner).include?(name) || set.named(name, "class").any?

        def template(owner) =
          owner["template"] ? Features::Notation.parameters(owner["template"]).map(&:name) : []
      end
    end
  end
end
