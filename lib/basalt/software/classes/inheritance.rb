# frozen_string_literal: true

module Basalt
  module Software
    module Classes
      # What a class has from those that it is a kind of, and from the interfaces that it realises.
      class Inheritance
        # @param set [Model::WorkingSet, Change::Draft]
        def initialize(set)
          @set = set
          @features = Hash.new { |table, id| table[id] = Featuring.of(set, id) }
          @above = Hash.new { |table, id| table[id] = Generalising.above(set, id) }
        end

        def above(id) = @above[id]
        def own(id) = @features[id]

        # @return [Array<String>] ids of the interfaces that a class realises by itself or as what it is a kind of
        def interfaces(id)
          direct = [id, *above(id)].flat_map { |one| realised(one) }
          direct.flat_map { |one| [one, *above(one)] }.uniq
        end

        # @return [Array<Model::Element>] operations that are declared somewhere above and done nowhere down to the class
        def undone(id)
          mine = [id, *above(id)].flat_map { |one| own(one) }.select { |part| part.kind == "operation" && !abstract?(part) }
          done = mine.to_set { |part| signature(part) }
          declared(id).reject { |part| done.include?(signature(part)) }.uniq { |part| signature(part) }
        end

        # @return [Array] by which two operations, or two attributes, are the same
        def signature(part) = part.kind == "operation" ? Facts.feature(part).signature : [part.name]

        # An operation of an interface is abstract without saying so.
        def abstract?(part) =
          part["modifiers"].to_s.split(", ").include?("abstract") || @set.element(part.owner_id)["sort"] == Kinds::INTERFACE

        private

        def realised(id) =
          @set.relations_of(id, "realisation").select { |one| one.target("realiser") == id }.map { |one| one.target("realised") }

        def declared(id) =
          [*above(id), *interfaces(id)].uniq.flat_map { |one| own(one) }.select { |part| part.kind == "operation" && abstract?(part) }
      end
    end
  end
end
