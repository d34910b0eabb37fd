# frozen_string_literal: true

module Basalt
  module Software
    module Xmi
      # Attributes, operations and literals of a class as XMI.
      class FeatureWriter
        include Names

        # @param writer [Writer]
        # @param owner [Model::Element] the class
        def initialize(writer, xml, owner)
          @writer = writer
          @xml = xml
          @owner = owner
        end

        def write(part)
          case part.kind
          when "literal"
            @xml.ownedLiteral(told(part, "uml:EnumerationLiteral")) { @writer.extension(@xml, part) }
          when "operation" then operation(part)
          else attribute(part)
          end
        end

        private

        def told(part, type)
          visibility = VISIBILITIES[part["visibility"]]
          { "xmi:type" => type, "xmi:id" => @writer.id(part), "name" => part.name, "visibility" => visibility }.compact
        end

        def attribute(part)
          feature = Classes::Facts.feature(part)
          about = told(part, "uml:Property").merge(feature.derived ? { "isDerived" => "true" } : {}).merge(words(feature))
          @xml.ownedAttribute(typed(about, feature)) do
            bounds(part.id, feature)
            default(part.id, feature.default)
            @writer.extension(@xml, part, SAID.fetch("property"), left(feature))
          end
        end

        def operation(part)
          feature = Classes::Facts.feature(part)
          @xml.ownedOperation(told(part, "uml:Operation").merge(words(feature))) do
            feature.parameters.each_with_index { |one, index| parameter(part, one, index) }
            returned(part, feature) if feature.type || feature.multiplicity
            @writer.extension(@xml, part, SAID.fetch("operation"), left(feature))
          end
        end

        def parameter(part, one, index)
          id = "#{part.id}-#{index}"
          about = { "xmi:type" => "uml:Parameter", "xmi:id" => "p#{id}", "name" => one.name, "direction" => one.direction }.compact
          @xml.ownedParameter(typed(about.merge(words(one)), one)) do
            bounds(id, one)
            default(id, one.default)
            rest = left(one).merge(one.direction ? {} : { "undirected" => "yes" })
            extended(rest)
          end
        end

        def returned(part, feature)
          about = { "xmi:type" => "uml:Parameter", "xmi:id" => "r#{part.id}", "direction" => "return" }
          @xml.ownedParameter(typed(about, feature)) { bounds("r#{part.id}", feature) }
        end

        def typed(about, feature) = feature.type ? about.merge("type" => @writer.type(feature.type, @owner)) : about

        # Words that UML has attributes for.
        def words(feature) = feature.modifiers.filter_map { |word| [WORDS[word], "true"] if WORDS[word] }.to_h

        # All of them where these do not tell them in their order.
        def left(feature)
          known = WORDS.keys.select { |word| feature.modifiers.include?(word) }
          known == feature.modifiers ? {} : { "modifiers" => feature.modifiers.join(", ") }
        end

        def extended(facts)
          return if facts.empty?

          @xml["xmi"].Extension("extender" => OURS) do
            facts.each { |name, value| @xml.parent.add_child(@xml.doc.create_element("fact", value, "name" => name)) }
          end
        end

        def bounds(id, feature) = Bounds.write(@xml, id, feature.multiplicity)

        def default(id, text)
          return unless text

          @xml.defaultValue("xmi:type" => "uml:OpaqueExpression", "xmi:id" => "d#{id}") { @xml.body(text) }
        end
      end
    end
  end
end
