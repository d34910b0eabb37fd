# frozen_string_literal: true

require "nokogiri"

module Basalt
  module Software
    module Xmi
      # Reads XMI into a model: what this program wrote as it was, and of what others wrote all that it knows; the rest is listed and
      # left out.
      class Reader
        include Names

        LIMIT = 60_000_000
        # Elements of a document.
        MOST = 400_000
        OPTIONS = Nokogiri::XML::ParseOptions::STRICT | Nokogiri::XML::ParseOptions::NONET | Nokogiri::XML::ParseOptions::NOBLANKS
        INNER = %w[packagedElement nestedClassifier ownedUseCase ownedType ownedMember].freeze
        # What of a thing is read where it is written, or says nothing of the design.
        PARTS = %w[ownedAttribute ownedOperation ownedLiteral generalization include extend extensionPoint Extension ownedComment
                   interfaceRealization useCase subject ownedTemplateSignature profileApplication elementImport packageImport].freeze

        # @param text [String]
        # @raise [Mistake] where it is no XMI
        def initialize(text)
          raise Refusals::TooLarge.new("the XMI", LIMIT) if text.bytesize > LIMIT

          @document = Nokogiri::XML::Document.parse(text, nil, nil, OPTIONS)
          raise Mistake, "the XML declares a type of document or entities: XMI needs neither, and they are not followed" if declares?
          raise Mistake, "the XML holds more than #{MOST} elements" if @document.xpath("count(//*)") > MOST

          @skipped = []
        rescue Nokogiri::XML::SyntaxError => e
          raise Mistake, "this is no XML: line #{e.line}: #{e.message.sub(/\A\d+:\d+: /, "").strip}"
        end

        # @return [Array<Array(String, String)>] what was left out: what it is and why
        attr_reader :skipped

        # @param draft [Change::Draft]
        # @return [Array<Model::Element>] packages, classes and the like that were made
        def into(draft)
          @draft = draft
          @made = {}
          roots = @document.xpath("//uml:Model | /uml:Package", "uml" => namespace)
          raise Mistake, "there is no model of UML in the file" if roots.empty?

          roots.each { |root| root.element_children.each { |node| thing(node, nil) } }
          features
          LineReader.new(draft, @document, @made, @skipped, namespace).read
          CommentReader.new(draft, @document, @made).read
          @made.values.filter_map { |one| draft.element(one.id) }.reject { |one| one.relation? || one.owner_id }
        end

        # @return [String, nil] a type by its id: the name of a class, or the text that stands for it
        def type(reference, node)
          return unless reference || (node = node&.at_xpath("./type"))

          node && reference.nil? ? (node["href"].to_s[/[^#\/]+\z/] || typed(node["idref"] || node["xmi:idref"])) : typed(reference)
        end

        private

        def declares? = !@document.internal_subset.nil?

        # UML has had several namespaces; the version is not looked at.
        def namespace
          @namespace ||= @document.root.namespace_definitions.map(&:href).find { |href| href.to_s.match?(%r{/UML/|/uml2?/}i) } || UML
        end

        def xmi(node, name) = node.attribute_nodes.find { |one| one.node_name == name && one.namespace&.prefix == "xmi" }&.value

        def thing(node, container)
          return unless INNER.include?(node.name)

          type = xmi(node, "type").to_s
          return if LineReader::TYPES.include?(type) || written?(node)

          kind = own_kind(node) || KINDS[type]
          return skip(node, type, "is of a kind that is not modelled here") unless kind

          element = made(node, kind, type, container)
          node.element_children.each { |inner| thing(inner, element) || other(inner) }
          true
        end

        def other(node) = (skip(node, xmi(node, "type").to_s, "is not modelled here") unless (PARTS + INNER).include?(node.name))

        def skip(node, type, why)
          @skipped << ["#{type.empty? ? node.name : type.delete_prefix("uml:")} #{node["name"]}".strip, why]
          nil
        end

        # A text that stands for a type, and no class.
        def written?(node) = !ours(node)&.at_xpath("./written").nil?
        def ours(node) = node.element_children.find { |one| one.name == "Extension" && one["extender"] == OURS }
        def own_kind(node) = ours(node)&.at_xpath("./kind")&.text&.then { |kind| kind if known?(kind) }

        # A file may speak of kinds whose family is not there.
        def known?(kind) = (THINGS.key?(kind) || NEIGHBOURS.key?(kind)) && Model::Catalogue.kinds.key?(kind)

        # @return [Hash{String => String}] facts that UML has no word for
        def facts(node) = ours(node)&.xpath("./fact").to_a.to_h { |one| [one["name"], one.text] }

        def made(node, kind, type, container)
          name = node["name"].to_s.strip
          name = "#{kind} #{@made.length + 1}" if name.empty?
          more = facts(node)
          known = allowed(kind, { **sort(node, kind, type), **more.except("assumed", "description") })
          element = Change::Add.new(kind:, name:, facts: known, container_id: within(kind, container)).apply(@draft)
          @draft.apply(Change::Set.new(id: element.id, fact: "assumed", value: true)) if more["assumed"]
          @made[xmi(node, "id")] = element
          UseCases::DescriptionText.new(more["description"]).into(@draft, element.id) if more["description"] && kind == "use case"
          (@nodes ||= []) << [node, element] if %w[class component].include?(kind)
          element
        rescue Mistake => e
          skip(node, type, e.message)
          known_namesake(kind, name, container)
        end

        # Two of one name in one place are one here.
        def known_namesake(kind, name, container) = @draft.named(name).find { |one| one.kind == kind && one.container_id == container&.id }

        def sort(node, kind, type)
          return {} unless kind == "class"

          found = SORTS.key(type)
          found = Classes::Kinds::ABSTRACT if type == "uml:Class" && node["isAbstract"] == "true"
          { "sort" => found, "leaf" => (true if node["isLeaf"] == "true") }.compact
        end

        def allowed(kind, facts)
          fields = Model::Catalogue.kind(kind).fields
          facts.select { |fact, _| fields.key?(fact) }
        end

        def within(kind, container)
          container&.id if container && Model::Catalogue.kind(kind).containers.include?(container.kind)
        end

        def features
          @nodes.to_a.each do |node, element|
            reader = FeatureReader.new(self, @draft, element)
            node.element_children.each do |part|
              made = reader.read(part) { |why| skip(part, xmi(part, "type").to_s, why) }
              @made[xmi(part, "id")] = made if made && xmi(part, "id")
            end
          end
        end

        def typed(reference)
          return @made[reference].name if @made[reference]

          @names ||= @document.xpath("//packagedElement[@name]").to_h { |one| [xmi(one, "id"), one["name"]] }
          @names[reference]
        end
      end
    end
  end
end
