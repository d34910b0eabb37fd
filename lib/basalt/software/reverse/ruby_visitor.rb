# frozen_string_literal: true

module Basalt
  module Software
    module Reverse
      # Walks through the syntax of a Ruby file and writes down what it finds in a structure.
      class RubyVisitor < Prism::Visitor
        MIXING = { include: "include", prepend: "prepend", extend: "extend" }.freeze
        ACCESSORS = { attr_reader: true, attr_accessor: false, attr_writer: false, attr: true }.freeze
        VISIBILITIES = { public: "+", protected: "#", private: "-" }.freeze
        MADE_OF = { ["Struct", :new] => false, ["Data", :define] => true }.freeze

        # Where the visitor is: what it found there, who may call what follows, whether that is of the class itself.
        Scope = Struct.new(:found, :visibility, :static)

        def initialize(structure)
          super()
          @structure = structure
          @scopes = []
        end

        def visit_module_node(node) = within(node.constant_path, :module) { visit(node.body) }

        def visit_class_node(node)
          within(node.constant_path, :class) do |found|
            superclass(found, node.superclass)
            visit(node.body)
          end
        end

        def visit_singleton_class_node(node)
          return super unless scope && node.expression.is_a?(Prism::SelfNode)

          @scopes.push(Scope.new(scope.found, "+", true))
          visit(node.body)
          @scopes.pop
        end

        def visit_def_node(node)
          return super unless scope

          static = scope.static || !node.receiver.nil?
          words = static ? ["static"] : []
          visibility = node.receiver ? "+" : scope.visibility
          add(
            Features::Operation.new(
              visibility:,
              name: node.name.to_s,
              parameters: RubyParameters.of(node.parameters),
              modifiers: words
            )
          )
          # What is spoken of within counts, and nothing that is declared there.
          speaking { super }
        end

        def visit_call_node(node)
          return super unless scope && !@speaking && (node.receiver.nil? || node.receiver.is_a?(Prism::SelfNode))

          arguments = node.arguments&.arguments.to_a
          if MIXING.key?(node.name) then mixed(node.name, arguments)
          elsif ACCESSORS.key?(node.name) then accessors(node.name, arguments)
          elsif VISIBILITIES.key?(node.name) then visible(node, arguments)
          elsif node.name == :private_class_method then hidden(arguments)
          elsif node.name == :module_function && arguments.empty? then scope.static = true
          else super
          end
        end

        def visit_constant_write_node(node)
          return super unless scope || made(node.value)
          return declared(node) if made(node.value)

          constant(node) if scope
          speaking { super }
        end

        def visit_constant_read_node(node) = speak(node)
        def visit_constant_path_node(node) = speak(node)

        private

        def scope = @scopes.last
        def here = scope ? scope.found.path : []

        def within(path_node, sort)
          names = name(path_node) or return
          path = names.start_with?("::") ? names.delete_prefix("::").split("::") : here + names.split("::")
          return if path.length > Structure::DEEPEST

          @scopes.push(Scope.new(@structure.open(path, sort), "+", false))
          yield scope.found
          @scopes.pop
        end

        # @return [String, nil] a constant as it is written; nil where it is worked out at run time
        def name(node)
          return unless node.is_a?(Prism::ConstantReadNode) || node.is_a?(Prism::ConstantPathNode)

          node.slice.gsub(/\s+/, "").then { |text| text if text.match?(/\A(::)?\p{Lu}[\p{L}\p{N}_:]*\z/) }
        end

        def superclass(found, node)
          return unless node

          made(node) ? members(found, node) : name(node)&.then { |text| found.supers |= [text] }
        end

        # @return [Array, nil] whether a class is made of members here, as +Struct.new+ does
        def made(node)
          return unless node.is_a?(Prism::CallNode) && node.receiver

          key = [name(node.receiver), node.name]
          key if MADE_OF.key?(key) || key == ["Class", :new]
        end

        def members(found, node)
          key = made(node)
          arguments = node.arguments&.arguments.to_a
          return arguments.first&.then { |one| name(one)&.then { |text| found.supers |= [text] } } if key == ["Class", :new]

          words = MADE_OF.fetch(key) ? ["readOnly"] : []
          names(arguments).each { |one| put(found, Features::Attribute.new(visibility: "+", name: one, modifiers: words)) }
        end

        # A constant that a class is given to is the class's name.
        def declared(node)
          @scopes.push(Scope.new(@structure.open(here + [node.name.to_s], :class), "+", false))
          members(scope.found, node.value)
          visit(node.value.block.body) if node.value.block.is_a?(Prism::BlockNode) && node.value.block.body
          @scopes.pop
        end

        def constant(node)
          value = RubyParameters.text(node.value)
          put(scope.found, Features::Attribute.new(visibility: "+", name: node.name.to_s, default: value, modifiers: %w[static readOnly]))
        end

        def mixed(verb, arguments)
          arguments.filter_map { |one| name(one) }.each { |one| scope.found.mixed_in |= [[MIXING.fetch(verb), one]] }
        end

        def accessors(verb, arguments)
          words = [*("readOnly" if ACCESSORS.fetch(verb)), *("static" if scope.static)]
          names(arguments).each { |one| add(Features::Attribute.new(visibility: scope.visibility, name: one, modifiers: words)) }
        end

        # Without arguments for all that follows, with them for what they name.
        def visible(node, arguments)
          visibility = VISIBILITIES.fetch(node.name)
          return scope.visibility = visibility if arguments.empty?

          before, scope.visibility = scope.visibility, visibility
          arguments.each { |one| visit(one) if one.is_a?(Prism::DefNode) || one.is_a?(Prism::CallNode) }
          scope.visibility = before
          mark(names(arguments), visibility)
        end

        def hidden(arguments)
          methods = arguments.grep(Prism::DefNode)
          methods.each { |one| visit(one) }
          mark(names(arguments) + methods.map { |one| one.name.to_s }, "-", static: true)
        end

        def mark(names, visibility, static: scope.static)
          scope.found.features.map! do |feature|
            names.include?(feature.name) && feature.static? == static ? feature.with(visibility:) : feature
          end
        end

        def names(arguments)
          list = arguments.flat_map { |one| one.is_a?(Prism::ArrayNode) ? one.elements : [one] }
          list.filter_map { |one| one.unescaped if one.is_a?(Prism::SymbolNode) || one.is_a?(Prism::StringNode) }
        end

        def add(feature) = put(scope.found, feature)

        # A method that is defined again takes the place of the first.
        def put(found, feature)
          return if feature.name.to_s.strip.empty?

          alike = ->(one) { [one.name, one.operation?, one.static?] == [feature.name, feature.operation?, feature.static?] }
          at = found.features.index(&alike)
          at ? found.features[at] = feature : found.features << feature
        end

        def speaking
          before, @speaking = @speaking, true
          yield
        ensure
          @speaking = before
        end

        def speak(node)
          text = scope && name(node)
          scope.found.references |= [text] if text
        end
      end
    end
  end
end
