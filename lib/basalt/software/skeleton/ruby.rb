# frozen_string_literal: true

module Basalt
  module Software
    module Skeleton
      # Classes as Ruby: a file for each with what is to be filled in, and its signatures in RBS (github.com/ruby/rbs, syntax.md).
      class Ruby
        VISIBILITIES = { "-" => "private", "#" => "protected" }.freeze
        TYPES = {
          "Boolean" => "bool", "boolean" => "bool", "Real" => "Float", "Double" => "Float", "Decimal" => "Numeric",
          "UnlimitedNatural" => "Integer", "Int" => "Integer", "int" => "Integer", "string" => "String", "String" => "String",
          "Integer" => "Integer", "Float" => "Float", "Time" => "Time", "Date" => "Date", "DateTime" => "Time", "Symbol" => "Symbol",
          "Object" => "Object", "void" => "void"
        }.freeze

        # @param set [Model::WorkingSet, Change::Draft]
        # @param classes [Array<Model::Element>]
        def initialize(set, classes)
          @outlines = classes.reject { |one| one["sort"] == Classes::Kinds::PRIMITIVE }.map { |one| Outline.new(set, one) }
        end

        # @return [Hash{String => String}] texts by the paths of their files
        def files
          @outlines.each_with_object({}) do |outline, found|
            name = outline.path.map { |part| Identifiers.file(part) }.join("/")
            found["lib/#{name}.rb"] = "# frozen_string_literal: true\n\n#{nested(outline, body(outline))}"
            found["sig/#{name}.rbs"] = nested(outline, signatures(outline))
          end
        end

        private

        # Within the modules and classes around it.
        def nested(outline, lines)
          heads = outline.around.map { |word, name| "#{word} #{name}" } + [head(outline)]
          text = +""
          heads.each_with_index { |line, depth| text << "#{"  " * depth}#{line}\n" }
          lines.each { |line| text << (line.empty? ? "\n" : "#{"  " * heads.length}#{line}\n") }
          heads.length.times { |index| text << "#{"  " * (heads.length - 1 - index)}end\n" }
          text
        end

        def head(outline)
          name = outline.path.last
          return "module #{name}" if outline.interface? || outline.enumeration?

          superclass = outline.generals.first
          superclass ? "class #{name} < #{absolute(superclass)}" : "class #{name}"
        end

        def absolute(path) = "::#{path.join("::")}"

        def body(outline)
          return values(outline) if outline.enumeration?

          includes = mixed(outline).map { |path| "include #{absolute(path)}" }
          parts = [includes, accessors(outline), *outline.operations.map { |operation| operation(outline, operation) }]
          parts.reject(&:empty?).flat_map { |lines| ["", *lines] }.drop(1)
        end

        # Interfaces, and what it is a kind of beside the first.
        def mixed(outline) = outline.interface? ? outline.generals : outline.interfaces + outline.generals.drop(1)

        def values(outline)
          names = outline.literals.map { |name| [constant(name), name] }.uniq(&:first)
          [*names.map { |one, name| "#{one} = #{name.inspect}" }, *("" if names.any?), "ALL = [#{names.map(&:first).join(", ")}].freeze"]
        end

        def constant(name) = Identifiers.method(name).delete("?!=").upcase

        def accessors(outline)
          outline.holdings.reject { |one| VISIBILITIES.key?(one.visibility) || outline.interface? }.map do |one|
            name = ":#{Identifiers.variable(one.name)}"
            told = one.read_only ? "attr_reader #{name}" : "attr_accessor #{name}"
            one.static ? "class << self; #{told}; end" : told
          end
        end

        def operation(outline, operation)
          name = "#{"self." if operation.static?}#{Identifiers.method(operation.name)}"
          parameters = taken(operation).map { |one| parameter(one) }
          undone = outline.interface? || operation.abstract?
          words = undone ? "raise NotImplementedError, #{operation.name.inspect}" : "# #{told(operation)}"
          prefix = VISIBILITIES[operation.visibility]
          lines = ["def #{name}#{"(#{parameters.join(", ")})" if parameters.any?}", "  #{words}", "end"]
          prefix && !operation.static? ? ["#{prefix} #{lines[0]}", *lines[1..]] : lines
        end

        def told(operation) = operation.type ? "gives #{operation.type.gsub(/\s+/, " ")}" : "to be filled in"
        def taken(operation) = operation.parameters.reject { |one| one.direction == "out" }.uniq { |one| Identifiers.variable(one.name) }

        def parameter(one)
          mark = one.name[/\A(\*{1,2}|&)/].to_s
          "#{mark}#{Identifiers.variable(one.name)}#{" = nil" if one.default && mark.empty?}"
        end

        def signatures(outline)
          return outline.literals.map { |name| "#{constant(name)}: String" }.uniq + ["ALL: Array[String]"] if outline.enumeration?

          includes = mixed(outline).map { |path| "include #{absolute(path)}" }
          includes + attributes(outline) + outline.operations.map { |operation| signature(outline, operation) }
        end

        def attributes(outline)
          outline.holdings.reject { |one| VISIBILITIES.key?(one.visibility) || outline.interface? }.map do |one|
            type = type(outline, one.type, many: one.many, optional: one.optional)
            "attr_#{one.read_only ? "reader" : "accessor"} #{"self." if one.static}#{Identifiers.variable(one.name)}: #{type}"
          end
        end

        def signature(outline, operation)
          parameters = taken(operation).reject { |one| one.name.start_with?("&") }.map { |one| typed(outline, one) }
          block = operation.parameters.any? { |one| one.name.start_with?("&") } ? " ?{ (*untyped) -> untyped }" : ""
          result = operation.type || operation.multiplicity ? type(outline, operation.type, many: operation.multiplicity&.many?) : "void"
          visibility = "private " if operation.visibility == "-" && !operation.static?
          name = "#{"self." if operation.static?}#{Identifiers.method(operation.name)}"
          "#{visibility}def #{name}: (#{parameters.join(", ")})#{block} -> #{result}"
        end

        def typed(outline, one)
          mark = one.name[/\A\*{1,2}/].to_s
          type = type(outline, one.type, many: one.multiplicity&.many?)
          return "#{mark}#{type}" unless mark.empty?

          "#{"?" if one.default}#{type} #{Identifiers.variable(one.name)}"
        end

        def type(outline, text, many: false, optional: false)
          found = known(outline, text)
          return "Array[#{found}]" if many

          optional && found != "untyped" ? "#{found}?" : found
        end

        # A class that is there, or a type that Ruby has.
        def known(outline, text)
          return "untyped" if text.nil?

          path = outline.class_of(text)
          return TYPES.fetch(text.strip, "untyped") unless path && Classes::Types.names(text).one?

          enumeration?(path) ? "String" : absolute(path)
        end

        def enumeration?(path) = @outlines.any? { |outline| outline.enumeration? && outline.path == path }
      end
    end
  end
end
