# frozen_string_literal: true

module Basalt
  module Software
    module Xmi
      # Comments from XMI, joined to what they are about as far as that was taken.
      class CommentReader
        include Names

        # @param made [Hash{String => Model::Element}] elements by their ids in the file
        def initialize(draft, document, made)
          @draft = draft
          @document = document
          @made = made
        end

        def read = @document.xpath("//ownedComment").each { |node| comment(node) }

        private

        def comment(node)
          more = ours(node)
          body = (node.at_xpath("./body")&.text || node["body"]).to_s.strip
          return if body.empty?

          facts = { "body" => (body unless more["unsaid"]), "note" => more["note"] }.compact
          made = Change::Add.new(kind: "comment", name: name(more["name"]), facts:).apply(@draft)
          @draft.apply(Change::Set.new(id: made.id, fact: "assumed", value: true)) if more["assumed"]
          ids = node["annotatedElement"].to_s.split
          ids.filter_map { |id| @made[id] }.each do |other|
            Change::Add.new(kind: "comment line", ends: [["comment", made.id], ["about", other.id]]).apply(@draft)
          end
        end

        def ours(node)
          extension = node.element_children.find { |one| one.name == "Extension" && one["extender"] == OURS }
          extension ? extension.xpath("./fact").to_h { |one| [one["name"], one.text] } : {}
        end

        def name(given)
          taken = ->(name) { @draft.named(name, "comment").any? }
          return given if given && !taken.call(given)

          (1..).lazy.map { |number| "comment #{number}" }.find { |one| !taken.call(one) }
        end
      end
    end
  end
end
