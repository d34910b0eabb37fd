# frozen_string_literal: true

require "json"

module Basalt
  module Software
    module Reverse
      # Classes and their features from tags in JSON, a tag to a line, as universal-ctags prints them (its manual, "JSON output").
      module Tags
        LIMIT = 50_000_000
        SORTS = {
          "class" => :class, "struct" => :class, "union" => :class, "interface" => :interface, "trait" => :interface,
          "protocol" => :interface, "enum" => :enumeration, "module" => :module, "namespace" => :module, "package" => :module
        }.freeze
        ATTRIBUTES = %w[member field property variable attr accessor constant].freeze
        OPERATIONS = ["method", "function", "prototype", "singletonMethod", "singleton method", "func", "procedure"].freeze
        LITERALS = %w[enumerator enumConstant].freeze
        VISIBILITIES = { "public" => "+", "protected" => "#", "private" => "-", "default" => "~" }.freeze

        module_function

        # @param text [String]
        # @return [Structure]
        # @raise [Mistake] where no line is a tag
        def read(text)
          raise Refusals::TooLarge.new("the tags", LIMIT) if text.bytesize > LIMIT

          structure = Structure.new
          tags = text.each_line.with_index(1).filter_map { |line, number| tag(structure, line, number) }
          raise Mistake, "there is no tag in the file: one is a line of JSON with “_type” and “name”" if tags.empty?

          tags.each { |one| declare(structure, one) }
          tags.each { |one| feature(structure, one) }
          structure
        end

        def tag(structure, line, number)
          return if line.strip.empty?

          found = JSON.parse(line, max_nesting: 20)
          found if found.is_a?(Hash) && found["_type"] == "tag" && found["name"].is_a?(String)
        rescue JSON::ParserError
          structure.skip("line #{number}", "is no JSON")
          nil
        end

        def declare(structure, tag)
          sort = SORTS[tag["kind"]] or return
          found = structure.open(path(tag), sort)
          tag["inherits"].to_s.split(",").map { |name| separated(name.strip) }.reject(&:empty?).each { |name| found.supers |= [name] }
        end

        def feature(structure, tag)
          made = made(tag) or return
          scope = tag["scope"].to_s
          return if scope.empty?

          found = structure.at(separated(scope).split("::")) or return
          found.features << made unless found.features.include?(made)
        end

        def made(tag)
          name, visibility, type = tag["name"], VISIBILITIES[tag["access"]], type(tag)
          if OPERATIONS.include?(tag["kind"])
            Features::Operation.new(visibility:, name:, type:, parameters: parameters(tag["signature"]), modifiers: words(tag))
          elsif ATTRIBUTES.include?(tag["kind"])
            Features::Attribute.new(visibility:, name:, type:, modifiers: words(tag))
          elsif LITERALS.include?(tag["kind"])
            Features::Attribute.new(name:)
          end
        end

        def words(tag) = tag["kind"].to_s.start_with?("singleton") || tag["properties"].to_s.split(",").include?("static") ? ["static"] : []

        def path(tag) = [*separated(tag["scope"].to_s).split("::"), *separated(tag["name"]).split("::")]
        def separated(name) = name.gsub(/\.|\\|->/, "::").gsub(/:{3,}/, "::")

        # +typename:int+, +struct:point+
        def type(tag)
          text = tag["typeref"].to_s.split(":", 2).last.to_s.strip
          readable(text)
        end

        def readable(text)
          return if text.empty?

          found = Features::Notation.read("x: #{text}")
          found.type if found == Features::Attribute.new(name: "x", type: found.type)
        rescue Mistake
          nil
        end

        # What stands in parentheses: as the notation has it, or as languages do that put the type in front.
        def parameters(signature)
          text = signature.to_s[/\A\((.*)\)/m, 1].to_s.strip
          return [] if text.empty? || text == "void"

          pieces(text).map { |piece| parameter(piece) }.uniq(&:name)
        end

        def parameter(piece)
          before, name = piece.sub(/\s*=.*\z/m, "").match(/\A(.+?[\s*&>])([\p{L}_][\p{L}\p{N}_]*)\z/)&.captures
          return Features::Parameter.new(name:, type: readable(before.strip)) if name

          Features::Notation.parameter(piece)
        rescue Mistake
          Features::Parameter.new(name: piece[/[\p{L}_][\p{L}\p{N}_]*/] || "value")
        end

        # Parted by the commas that stand in no brackets.
        def pieces(text)
          depth = 0
          text.each_char.with_object([+""]) do |letter, found|
            depth += 1 if "([{<".include?(letter)
            depth -= 1 if ")]}>".include?(letter)
            next found << +"" if letter == "," && depth.zero?

            found.last << letter
          end.map(&:strip).reject(&:empty?)
        end
      end
    end
  end
end
