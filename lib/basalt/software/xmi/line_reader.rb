# frozen_string_literal: true

module Basalt
  module Software
    module Xmi
      # What joins elements, from XMI; lines to what is not there are listed and left out.
      class LineReader
        include Names

        PAIRS = {
          "uml:Realization" => "realisation", "uml:InterfaceRealization" => "provision", "uml:Usage" => "need",
          "uml:Dependency" => "dependency", "uml:Abstraction" => "dependency", "uml:Substitution" => "dependency"
        }.freeze
        TYPES = [*PAIRS.keys, "uml:Association"].freeze
        WITHIN = { "generalization" => "general", "include" => "addition", "extend" => "extendedCase" }.freeze
        KINDS = { "shared" => "aggregation", "composite" => "composition" }.freeze

        # @param made [Hash{String => Model::Element}] elements by their ids in the file
        # @param skipped [Array] gets what is left out
        def initialize(draft, document, made, skipped, namespace)
          @draft = draft
          @document = document
          @made = made
          @skipped = skipped
          @namespace = namespace
        end

        def read
          @document.xpath("//*").each do |node|
            type = xmi(node, "type")
            if WITHIN.key?(node.name) then within(node)
            elsif type == "uml:Association" || type == "uml:AssociationClass" then association(node)
            elsif PAIRS.key?(type) then pair(node, PAIRS.fetch(type))
            end
          end
        end

        private

        def xmi(node, name) = node.attribute_nodes.find { |one| one.node_name == name && one.namespace&.prefix == "xmi" }&.value
        def id(node) = xmi(node, "id")

        def ours(node)
          extension = node.element_children.find { |one| one.name == "Extension" && one["extender"] == OURS }
          extension ? extension.xpath("./fact").to_h { |one| [one["name"], one.text] } : {}
        end

        def skip(node, why)
          @skipped << ["#{(xmi(node, "type") || node.name).delete_prefix("uml:")} #{node["name"]}".strip, why]
          nil
        end

        # References to nothing come in files of others.
        def add(node, kind, ends)
          return skip(node, "leads to something that is not there or not modelled here") unless ends.all? { |_, element, _| element }

          more = ours(node)
          fields = Model::Catalogue.kind(kind).fields
          known = more.select { |fact, _| fields.key?(fact) }
          made = Change::Add.new(kind:, ends: ends.map { |role, element, told| [role, element.id, told] }, facts: known).apply(@draft)
          @draft.apply(Change::Set.new(id: made.id, fact: "assumed", value: true)) if more["assumed"]
          @made[id(node)] ||= made if id(node)
          made
        rescue Mistake => e
          skip(node, e.message)
        end

        def within(node)
          from = @made[id(node.parent).to_s]
          to = @made[node[WITHIN.fetch(node.name)].to_s]
          return skip(node, "leads to something that is not there or not modelled here") unless from && to

          case node.name
          when "include" then add(node, "inclusion", [["including", from], ["included", to]])
          when "extend" then add(node, "extension", [["extending", from], ["extended", to]])
          else general(node, from, to)
          end
        end

        def general(node, from, to)
          kind = Generalising::RELATIONS[from.kind] or return skip(node, "what a #{from.kind} is a kind of is not modelled here")
          add(node, kind, [["special", from], ["general", to]])
        end

        def pair(node, kind)
          kind = own_kind(node) || kind
          from, to = [node["client"] || node["implementingClassifier"], node["supplier"] || node["contract"]].map { |ids| at(ids) }
          roles = LineWriter::PAIRS.fetch(kind).drop(1)
          # A class realises an interface, and a component provides one.
          if kind == "provision" && from&.kind == "class"
            kind, roles = "realisation", %w[realiser realised]
          elsif kind == "need" && !Components::Kinds::ENDS.include?(from&.kind)
            kind, roles = "dependency", %w[client supplier]
          end
          add(node, kind, roles.zip([from, to]))
        end

        # Of several, the first.
        def at(ids) = @made[ids.to_s.split.first.to_s]

        def own_kind(node)
          extension = node.element_children.find { |one| one.name == "Extension" && one["extender"] == OURS }
          extension&.at_xpath("./kind")&.text&.then { |kind| kind if OURS_ALONE.include?(kind) }
        end

        def association(node)
          ends = ends(node)
          return skip(node, "has #{ends.length} ends; two are modelled here") unless ends.length == 2

          elements = ends.map { |one| @made[(one["type"] || one.at_xpath("./type")&.[]("xmi:idref")).to_s] }
          return involvement(node, elements) if involved?(elements.compact.map(&:kind).sort)

          turned = ends.first["aggregation"].to_s.match?(/shared|composite/)
          ends, elements = ends.reverse, elements.reverse if turned
          classes(node, ends, elements)
        end

        def classes(node, ends, elements)
          kind = KINDS.fetch(ends.last["aggregation"], "association")
          known = node["navigableOwnedEnd"].to_s.split
          facts = ends.map { |one| ending(one, known) }
          roles = Model::Catalogue.kind(kind).ends.keys
          made = add(node, kind, roles.first(2).zip(elements, facts)) or return
          @draft.apply(Change::Set.new(id: made.id, fact: "called", value: node["name"])) unless node["name"].to_s.empty?
          described = @made[ours(node)["class"].to_s] || (@made[id(node)] if xmi(node, "type") == "uml:AssociationClass")
          @draft.apply(Classes::SetAssociationClass.new(id: made.id, class_id: described.id)) if described&.kind == "class"
        end

        def involved?(kinds) = [["actor", "use case"], %w[actor actor]].include?(kinds)

        def involvement(node, elements)
          actor = elements.find { |one| one.kind == "actor" }
          other = elements.find { |one| one.id != actor.id } || actor
          add(node, "involvement", [["actor", actor], ["use case", other]])
        end

        # Ends are the association's own, or attributes of the classes.
        def ends(node)
          own = node.element_children.select { |one| one.name == "ownedEnd" }
          return own if own.length >= 2

          @by_id ||= @document.xpath("//ownedAttribute | //ownedEnd").to_h { |one| [id(one), one] }
          node["memberEnd"].to_s.split.filter_map { |one| @by_id[one] }.then { |found| found.length >= 2 ? found : own }
        end

        def ending(node, known)
          navigable = known.include?(id(node)) || (node.name == "ownedAttribute") ? "yes" : ours(node)["navigable"]
          times = Bounds.read(node)
          { "role" => (node["name"] unless node["name"].to_s.empty?), "multiplicity" => times&.to_s, "navigable" => navigable }.compact
        end
      end
    end
  end
end
