# frozen_string_literal: true

require "nokogiri"

module Basalt
  module Software
    module Xmi
      # The software structure of a model as XMI: packages, classes, components, actors and use cases with what joins them.
      class Writer
        include Names

        # @param set [Model::WorkingSet, Change::Draft]
        def initialize(set)
          @set = set
          @types = {}
          @lines = LineWriter.new(set, self)
        end

        # @return [String] a document
        def document
          Nokogiri::XML::Builder
            .new(encoding: "UTF-8", namespace_inheritance: false) do |xml|
              xml["xmi"].XMI("xmlns:xmi" => XMI, "xmlns:uml" => UML) do
                xml["uml"].Model("xmi:type" => "uml:Model", "xmi:id" => "model", "name" => @set.project || "Model") { whole(xml) }
              end
            end
            .to_xml
        end

        # @return [String] an id as XML allows it
        def id(element) = "e#{element.id}"

        # @return [Boolean] whether something is an element of the document
        def written?(one) = things.include?(one) || %w[property operation literal port].include?(one.kind)

        # The element that a text speaks of as a type, or one that stands for the text.
        def type(text, owner)
          found = Types.exactly(@set, text, owner)
          return id(found) if found

          @types[text] ||= "t#{@types.length + 1}"
        end

        # What UML has no word for.
        def extension(xml, element, said = SAID.fetch(element.kind, []), more = {})
          facts = element.facts.except(*said, *OWN).merge(more).merge(element.assumed ? { "assumed" => "yes" } : {})
          kind = element.kind if OURS_ALONE.include?(element.kind)
          return if facts.empty? && kind.nil?

          xml["xmi"].Extension("extender" => OURS) do
            xml.parent.add_child(xml.doc.create_element("kind", kind)) if kind
            facts.each { |name, value| xml.parent.add_child(xml.doc.create_element("fact", value.to_s, "name" => name)) }
          end
        end

        private

        def things = @things ||= @set.of_kind("class", *THINGS.keys).to_set.merge(neighbours)

        # Those to which something passes.
        def neighbours =
          @set.of_kind("exchange").map { |one| @set.element(one.target("neighbour")) }.select { |one| NEIGHBOURS.key?(one.kind) }

        def whole(xml)
          things.select { |one| outermost?(one) }.each { |one| thing(xml, one, "packagedElement") }
          @lines.all.each { |line| @lines.write(xml, line) }
          @set.of_kind("comment").each { |one| comment(xml, one) }
          @types.each do |text, id|
            xml.packagedElement("xmi:type" => "uml:PrimitiveType", "xmi:id" => id, "name" => text) do
              xml["xmi"].Extension("extender" => OURS) { xml.parent.add_child(xml.doc.create_element("written")) }
            end
          end
        end

        def comment(xml, one)
          about = @set.relations_of(one.id, "comment line").map { |line| @set.element(line.target("about")) }
          about = about.select { |other| written?(other) || other.relation? }
          told = { "xmi:type" => "uml:Comment", "xmi:id" => id(one), "annotatedElement" => about.map { |other| id(other) }.join(" ") }
          xml.ownedComment(told.reject { |_, value| value.empty? }) do
            xml.body(one["body"] || one.name)
            extension(xml, one, ["body"], { "name" => one.name, "unsaid" => ("yes" unless one["body"]) }.compact)
          end
        end

        def outermost?(one) = one.container_id.nil? || !written?(@set.element(one.container_id))

        def thing(xml, one, tag)
          return classifier(xml, one, tag) if one.kind == "class"

          xml.public_send(tag, "xmi:type" => THINGS[one.kind] || NEIGHBOURS.fetch(one.kind), "xmi:id" => id(one), "name" => one.name) do
            @lines.within(xml, one)
            @set.parts_of(one.id).each { |part| port(xml, part) if part.kind == "port" }
            inner(xml, one)
            extension(xml, one, SAID.fetch(one.kind, []), described(one))
          end
        end

        def described(one)
          text = one.kind == "use case" ? UseCases::DescriptionText.of(@set, one.id) : ""
          text.empty? ? {} : { "description" => text }
        end

        # What is in something: as its elements, or nested in a class.
        def inner(xml, one)
          tag = one.kind == "class" ? "nestedClassifier" : "packagedElement"
          @set.contents_of(one.id).select { |inside| written?(inside) }.each { |inside| thing(xml, inside, tag) }
        end

        def port(xml, part)
          xml.ownedAttribute("xmi:type" => "uml:Port", "xmi:id" => id(part), "name" => part.name) { extension(xml, part) }
        end

        def classifier(xml, one, tag)
          told = { "xmi:type" => SORTS.fetch(one["sort"]), "xmi:id" => id(one), "name" => one.name }
          told["isAbstract"] = "true" if one["sort"] == Classes::Kinds::ABSTRACT
          told["isLeaf"] = "true" if one["leaf"]
          xml.public_send(tag, told) do
            @lines.within(xml, one)
            Classes::Featuring.of(@set, one.id).each { |part| FeatureWriter.new(self, xml, one).write(part) }
            inner(xml, one)
            extension(xml, one)
          end
        end
      end
    end
  end
end
