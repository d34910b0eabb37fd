# frozen_string_literal: true

require "psych"

module Basalt
  module Cloud
    module Tosca
      # YAML of plain lists, maps and texts: whatever makes something else of it is refused with its line.
      module PlainYaml
        LIMIT = 10_000_000
        DEPTH = 60

        module_function

        # @param bytes [String]
        # @return [Hash]
        # @raise [Inventory::Unreadable]
        def read(bytes)
          refuse("it is larger than #{LIMIT / 1_000_000} MB") if bytes.bytesize > LIMIT
          text = bytes.dup.force_encoding("UTF-8")
          refuse("it is not written in UTF-8") unless text.valid_encoding?
          tree = Psych.parse_stream(text)
          refuse("it holds #{tree.children.length} documents, and one is read") unless tree.children.length == 1
          check(tree.children.first, 0)
          found = Psych.safe_load(text, permitted_classes: [], aliases: false)
          found.is_a?(Hash) ? found : refuse("it is not a map")
        rescue Psych::SyntaxError => e
          refuse("line #{e.line}: #{e.problem}")
        rescue Psych::DisallowedClass
          refuse("it holds what is neither text nor number")
        end

        def check(node, depth)
          refuse("it is nested deeper than #{DEPTH}") if depth > DEPTH
          line = node.start_line.to_i + 1
          refuse("line #{line}: an alias (*#{node.anchor}) stands for what is elsewhere; write it out") if node.is_a?(Psych::Nodes::Alias)
          refuse("line #{line}: a tag (#{node.tag}) would make something else of it") if node.respond_to?(:tag) && node.tag
          node.children&.each { |inner| check(inner, depth + 1) }
        end

        def refuse(words) = raise(Inventory::Unreadable.new("", words))
      end
    end
  end
end
