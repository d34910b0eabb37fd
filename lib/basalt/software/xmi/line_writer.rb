# frozen_string_literal: true

module Basalt
  module Software
    module Xmi
      # What joins elements, as XMI: within the one that it comes from where UML has it there, else as elements of their own.
      class LineWriter
        include Names

        AGGREGATION = { "aggregation" => "shared", "composition" => "composite" }.freeze
        WITHIN = {
          "generalisation" => [:generalization, "uml:Generalization", "general", "special"],
          "actor generalisation" => [:generalization, "uml:Generalization", "general", "special"],
          "use case generalisation" => [:generalization, "uml:Generalization", "general", "special"],
          "inclusion" => [:include, "uml:Include", "addition", "including"],
          "extension" => [:extend, "uml:Extend", "extendedCase", "extending"]
        }.freeze
        PAIRS = {
          "realisation" => ["uml:Realization", "realiser", "realised"],
          "provision" => ["uml:InterfaceRealization", "component", "interface"],
          "need" => ["uml:Usage", "component", "interface"],
          "dependency" => ["uml:Dependency", "client", "supplier"],
          "thread" => ["uml:Abstraction", "of", "source"],
          "nobody" => ["uml:Abstraction", "system", "source"],
          "exchange" => ["uml:Dependency", "component", "neighbour"]
        }.freeze

        # @param writer [Writer]
        def initialize(set, writer)
          @set = set
          @writer = writer
        end

        # @return [Array<Model::Element>] those that are elements of their own
        def all =
          @set.of_kind(*Classes::Kinds::ASSOCIATIONS, "involvement", *PAIRS.keys).select do |line|
            line.endpoints.all? { |id| @writer.written?(@set.element(id)) }
          end

        # Writes what UML has within the element that a line comes from.
        def within(xml, element)
          WITHIN.each do |kind, (tag, type, attribute, role)|
            @set.relations_of(element.id, kind).select { |one| one.target(role) == element.id }.each do |one|
              other = @set.element(one.endpoints.last)
              xml.public_send(:"#{tag}_", "xmi:type" => type, "xmi:id" => @writer.id(one), attribute => @writer.id(other)) do
                @writer.extension(xml, one)
              end
            end
          end
        end

        def write(xml, line)
          PAIRS.key?(line.kind) ? pair(xml, line) : association(xml, line)
        end

        private

        def pair(xml, line)
          type, from, to = PAIRS.fetch(line.kind)
          ends = { "client" => @writer.id(@set.element(line.target(from))), "supplier" => @writer.id(@set.element(line.target(to))) }
          xml.packagedElement("xmi:type" => type, "xmi:id" => @writer.id(line), **ends) { @writer.extension(xml, line) }
        end

        def association(xml, line)
          ids = [0, 1].map { |index| "n#{line.id}-#{index}" }
          known = [line.ends.first, line.ends.last].zip(ids).filter_map { |one, id| id if one.facts["navigable"] == "yes" }
          about = { "xmi:type" => "uml:Association", "xmi:id" => @writer.id(line), "name" => line["called"], "memberEnd" => ids.join(" ") }
          about["navigableOwnedEnd"] = known.join(" ") if known.any?
          xml.packagedElement(about.compact) do
            [line.ends.first, line.ends.last].zip(ids).each_with_index { |(one, id), index| ending(xml, line, one, id, index) }
            @writer.extension(xml, line, SAID.fetch(line.kind, []), described(line))
          end
        end

        # The class that an association is at the same time.
        def described(line) = line.target("class") ? { "class" => @writer.id(@set.element(line.target("class"))) } : {}

        # The end at the part says of what kind the whole is (UML 2.5.1, 11.5.3.1).
        def ending(xml, line, one, id, index)
          type = @writer.id(@set.element(one.target_id))
          about = { "xmi:type" => "uml:Property", "xmi:id" => id, "name" => one.facts["role"], "type" => type }
          about["aggregation"] = AGGREGATION[line.kind] if index == 1 && AGGREGATION.key?(line.kind)
          xml.ownedEnd(about.compact) do
            Bounds.write(xml, id, one.facts["multiplicity"]&.then { |text| Features::Multiplicity.of(text) })
            next unless one.facts["navigable"] == "no"

            xml["xmi"].Extension("extender" => OURS) do
              xml.parent.add_child(xml.doc.create_element("fact", "no", "name" => "navigable"))
            end
          end
        end
      end
    end
  end
end
