# frozen_string_literal: true

module Basalt
  module Model
    # All kinds and notations that the families brought.
    module Catalogue
      class << self
        def kinds
          @kinds ||= Families.gather(:kinds).to_h { |kind| [kind.name, kind] }.freeze
        end

        def kind(name) = (@kinds || kinds).fetch(name)

        # @return [Array<Kind>] that can stand on every sheet
        def figures = @figures ||= kinds.values.select(&:figure).freeze

        # @return [Array<String>] kinds of relations that are told in the register of every sheet
        def told = @told ||= Families.all.select { |family| family.respond_to?(:told) }.flat_map(&:told).freeze

        # @return [Array<String>] kinds that are drawn around others
        def outlines = @outlines ||= figures.select { |kind| kind.figure.outline? }.map(&:name).freeze

        # @return [Set<String>] kinds that may have parts of these kinds, or parts that do
        def owning(names)
          (@owning ||= {})[names] ||= begin
            owners = names.flat_map { |name| kind(name).owner }.uniq
            (owners - names).empty? ? owners.to_set.freeze : (owners.to_set | owning(names | owners)).freeze
          end
        end

        # @return [Hash{String => Array(Kind, Hash)}] declaring word to its kind and the facts it sets
        def nouns = words.all

        # @return [Nouns]
        def words = @words ||= Nouns.new(kinds.values, method(:notations))

        def notations
          @notations ||= Families.gather(:notations).to_h { |notation| [notation.name, Drawing::Annotated.new(notation)] }.freeze
        end

        # @param trait [Symbol] what is asked of each
        # @return [Array<String>] names of the notations of which it is so, or of which it gives something
        def notations_with(trait)
          (@with ||= {})[trait] ||= notations.select { |_, one| Array(one.public_send(trait) || nil).any? }.keys.freeze
        end

        # @raise [Mistake] naming the notations there are
        def notation(name)
          (@notations || notations)[name] or
            raise Mistake, "no notation is called “#{Names.short(name)}”; there are #{notations.keys.join(', ')}"
        end
      end
    end
  end
end
