# frozen_string_literal: true

module Basalt
  module Software
    module Xmi
      # Attributes, operations, literals and ports of a class or a component from XMI.
      class FeatureReader
        include Names

        # @param reader [Reader]
        # @param owner [Model::Element]
        def initialize(reader, draft, owner)
          @reader = reader
          @draft = draft
          @owner = owner
        end

        # @yieldparam why [String] where it cannot be taken
        # @return [Model::Element, nil]
        def read(node)
          case node.name
          when "ownedLiteral" then add("literal", node["name"], {}, node)
          when "ownedAttribute" then @owner.kind == "component" ? add("port", node["name"], {}, node) : attribute(node)
          when "ownedOperation" then operation(node) if @owner.kind == "class"
          end
        rescue Mistake => e
          yield e.message
          nil
        end

        private

        def add(kind, name, facts, node)
          more = ours(node)
          fields = Model::Catalogue.kind(kind).fields
          told = more.select { |fact, _| fields.key?(fact) }
          made = Change::Add.new(kind:, name:, facts: facts.merge(told), owner_id: @owner.id).apply(@draft)
          @draft.apply(Change::Set.new(id: made.id, fact: "assumed", value: true)) if more["assumed"]
          made
        end

        def ours(node)
          extension = node.element_children.find { |one| one.name == "Extension" && one["extender"] == OURS }
          extension ? extension.xpath("./fact").to_h { |one| [one["name"], one.text] } : {}
        end

        def attribute(node)
          return if node["association"] && node["name"].to_s.empty?

          feature =
            Features::Attribute.new(visibility: visibility(node), derived: node["isDerived"] == "true", name: node["name"], **typed(node))
          put(feature, node)
        end

        def operation(node)
          all = node.element_children.select { |one| one.name == "ownedParameter" }
          given, parameters = all.partition { |one| one["direction"] == "return" }
          result = given.first
          feature =
            Features::Operation.new(
              visibility: visibility(node),
              name: node["name"],
              parameters: parameters.map { |one| parameter(one) },
              type: result && @reader.type(result["type"], result),
              multiplicity: result && times(result),
              modifiers: words(node)
            )
          put(feature, node)
        end

        def put(feature, node)
          kind = feature.operation? ? "operation" : "property"
          add(kind, feature.name, Classes::Facts.of(feature, kind).compact, node)
        end

        def parameter(node)
          direction = node["direction"] unless ours(node)["undirected"]
          direction = nil unless Features::Notation::DIRECTIONS.include?(direction)
          Features::Parameter.new(direction:, name: node["name"] || "value", **typed(node))
        end

        def typed(node) =
          { type: @reader.type(node["type"], node), multiplicity: times(node), default: default(node), modifiers: words(node) }

        def visibility(node) = VISIBILITIES.key(node["visibility"])

        # All words where ours are told, else those that UML has attributes for.
        def words(node)
          told = ours(node)["modifiers"]
          told ? told.split(/\s*,\s*/) : WORDS.filter_map { |word, attribute| word if node[attribute] == "true" }
        end

        def times(node) = Bounds.read(node)

        def default(node)
          value = node.element_children.find { |one| one.name == "defaultValue" } or return
          text = value.element_children.find { |one| one.name == "body" }&.text || value["value"]
          text unless text.to_s.strip.empty?
        end
      end
    end
  end
end
