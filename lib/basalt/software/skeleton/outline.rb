# frozen_string_literal: true

module Basalt
  module Software
    module Skeleton
      # What a skeleton needs to know of a class: where it is nested, what it is a kind of, what it has and does.
      class Outline
        # An attribute of an object, or what it is joined to: its name, its type and whether there are many.
        Holding = Value.of(:name, :type, :many, :optional, :visibility, :read_only, :static)

        # @param set [Model::WorkingSet, Change::Draft]
        # @param one [Model::Element] a class
        def initialize(set, one)
          @set = set
          @class = one
        end

        def sort = @class["sort"]
        def interface? = sort == Classes::Kinds::INTERFACE
        def enumeration? = sort == Classes::Kinds::ENUMERATION

        # @return [Array<String>] constants from the outermost to its own
        def path = path_of(@class)

        # @return [Array<Array(String, String)>] what it is nested in, as Ruby's word for it and its name
        def around
          found = []
          step = @class
          while (step = step.container_id && @set.element(step.container_id)) && %w[package class].include?(step.kind)
            word = step.kind == "class" && step["sort"] != Classes::Kinds::INTERFACE ? "class" : "module"
            found.unshift([word, Identifiers.constant(step.name)])
          end
          found
        end

        # @return [Array<Array<String>>] paths of the classes that it is a kind of
        def generals = Generalising.direct(@set, @class.id).map { |id| path_of(@set.element(id)) }

        # @return [Array<Array<String>>] paths of the interfaces that it realises
        def interfaces =
          @set.relations_of(@class.id, "realisation").select { |one| one.target("realiser") == @class.id }
            .map { |one| path_of(@set.element(one.target("realised"))) }

        # @return [Array<String>]
        def literals = Classes::Featuring.of(@set, @class.id).select { |part| part.kind == "literal" }.map(&:name)

        # @return [Array<Holding>] attributes, and the far ends of lines that have a role
        def holdings = (attributes + ends).uniq { |one| Identifiers.variable(one.name) }

        # @return [Array<Features::Operation>]
        def operations = Classes::Featuring.operations(@set, @class.id).map { |part| Classes::Facts.feature(part) }

        # @return [Array<String>, nil] the path of the class that a type speaks of
        def class_of(type)
          found = Classes::Types.names(type).flat_map { |name| Classes::Types.classes(@set, name, @class) }.uniq(&:id)
          path_of(found.first) if found.one?
        end

        private

        def path_of(element)
          around = element.container_id && @set.element(element.container_id)
          [*(path_of(around) if around && %w[package class].include?(around.kind)), Identifiers.constant(element.name)]
        end

        def attributes
          Classes::Featuring.attributes(@set, @class.id).select { |part| part.kind == "property" }.map do |part|
            feature = Classes::Facts.feature(part)
            times = feature.multiplicity
            Holding.new(
              name: feature.name,
              type: feature.type,
              many: times&.many? || false,
              optional: times ? times.low.zero? : false,
              visibility: feature.visibility,
              read_only: feature.derived || feature.modifiers.include?("readOnly"),
              static: feature.static?
            )
          end
        end

        def ends
          @set.relations_of(@class.id, *Classes::Kinds::ASSOCIATIONS).flat_map do |line|
            [[line.ends.first, line.ends.last], [line.ends.last, line.ends.first]].filter_map do |here, there|
              next unless here.target_id == @class.id && there.facts["role"] && there.facts["navigable"] != "no"

              times = there.facts["multiplicity"]&.then { |text| Features::Multiplicity.of(text) }
              type = @set.element(there.target_id).name
              Holding.new(name: there.facts["role"], type:, many: times&.many? || false, optional: times ? times.low.zero? : true)
            end
          end
        end
      end
    end
  end
end
