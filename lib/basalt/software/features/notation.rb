# frozen_string_literal: true

require "strscan"

module Basalt
  module Software
    module Features
      # UML's textual notation of attributes, operations and parameters (UML 2.5.1, 9.4.4, 9.5.4 and 9.6.4), read into values. A
      # name goes up to the mark behind it; types may be qualified and have arguments, as in +Map<String, Reading>+; what is
      # +static+ or +abstract+, which a drawing shows by its type, is told among the words in braces.
      class Notation
        VISIBILITIES = %w[+ - # ~].freeze
        DIRECTIONS = %w[inout in out].freeze
        # Letters of one feature.
        LIMIT = 2000
        NAME = /[\p{L}_$][\p{L}\p{N}_$.?!-]*(?: +[\p{L}\p{N}_$][\p{L}\p{N}_$.?!-]*)*/
        OPERATOR = /(?:==|===|<=>|<=|>=|<<|>>|\[\]=?|[+\-*\/%<>!~^&|]+)(?=\s*\()/
        CLOSING = { "(" => ")", "[" => "]", "{" => "}", "<" => ">" }.freeze

        # @param text [String]
        # @return [Attribute, Operation]
        # @raise [Unreadable]
        def self.read(text) = new(text).feature

        # @param text [String] of one parameter
        # @return [Parameter]
        # @raise [Unreadable]
        def self.parameter(text) = new(text).lone_parameter

        def initialize(text)
          @text = text.unicode_normalize(:nfc)
          raise Unreadable.new(@text, LIMIT, "no more than #{LIMIT} letters") if @text.length > LIMIT

          @scanner = StringScanner.new(@text)
        end

        def feature
          blank
          visibility = @scanner.scan(/[+\-#~]/)
          blank
          derived = !@scanner.scan(%r{/}).nil?
          blank
          found = named(visibility, derived)
          ended
          found
        end

        def lone_parameter
          blank
          parameter(/\z/).tap { ended }
        end

        private

        def blank = @scanner.skip(/\s+/)
        def at = @scanner.charpos
        def refuse(expected) = raise(Unreadable.new(@text, at, expected))
        def ended = blank.then { refuse("nothing more") unless @scanner.eos? }

        def named(visibility, derived)
          name = (derived ? nil : @scanner.scan(OPERATOR)) || @scanner.scan(NAME) || refuse("a name")
          blank
          return operation(visibility, name) if !derived && @scanner.scan(/\(/)

          Attribute.new(visibility:, derived:, name:, **typed(/\z/))
        end

        def operation(visibility, name)
          parameters = parameters()
          type = optional(/:/) { type(/\z/) }
          Operation.new(visibility:, name:, parameters:, type:, multiplicity: multiplicity(), modifiers: modifiers())
        end

        def parameters
          blank
          return [] if @scanner.scan(/\)/)

          found = []
          loop do
            found << parameter(/[,)]/)
            blank
            return found if @scanner.scan(/\)/)

            @scanner.scan(/,/) || refuse("a comma or a closing parenthesis")
            blank
          end
        end

        def parameter(last)
          direction = @scanner.scan(/(?:inout|in|out)(?=\s+\S)(?!\s*[:,)=\[])/)
          blank
          name = @scanner.scan(/\*{1,2}|&/).to_s + (@scanner.scan(NAME) || refuse("a name of a parameter"))
          Parameter.new(direction:, name:, **typed(last))
        end

        # What stands behind a name: type, multiplicity, default and modifiers.
        def typed(last)
          type = optional(/:/) { type(last) }
          many = multiplicity()
          default = optional(/=/) { default(last) }
          { type:, multiplicity: many, default:, modifiers: modifiers() }
        end

        def optional(mark)
          blank
          return unless @scanner.scan(mark)

          blank
          yield
        end

        # Up to a multiplicity, a default, modifiers or the end; arguments in angle brackets belong to it.
        def type(last) = balanced(/[\[={]/, last, "a type").gsub(/\s+/, " ").tap { |text| refuse("a type") if text.empty? }

        # In a value angle brackets compare.
        def default(last) = balanced(/\{/, last, "a value", CLOSING.except("<")).tap { |text| refuse("a value") if text.empty? }

        # @return [String] text up to a mark at the outermost level
        #
        # @param closing [Hash{String => String}] brackets within which marks do not count
        def balanced(stop, last, expected, closing = CLOSING)
          start = @scanner.pos
          open = []
          until @scanner.eos?
            break if open.empty? && (@scanner.check(stop) || (last != /\z/ && @scanner.check(last)))

            step(open, expected, closing)
          end
          refuse("“#{CLOSING.fetch(open.last)}”") if open.any?
          @scanner.string.byteslice(start...@scanner.pos).force_encoding("UTF-8").strip
        end

        def step(open, expected, closing)
          return if @scanner.scan(/"(?:[^"\\]|\\.)*"|'(?:[^'\\]|\\.)*'/) || @scanner.scan(/->|=>|<=|>=/)

          mark = @scanner.check(/./m)
          if closing.key?(mark) then open << mark
          elsif closing.value?(mark)
            refuse(expected) unless open.any? && closing[open.last] == mark

            open.pop
          end
          @scanner.getch
        end

        def multiplicity
          blank
          return unless @scanner.scan(/\[/)

          start = at
          text = @scanner.scan(/[^\]]*/)
          @scanner.scan(/\]/) || refuse("“]”")
          Multiplicity.of(text) || raise(Unreadable.new(@text, start, "a multiplicity such as 0..1 or 1..*"))
        end

        def modifiers
          blank
          return [] unless @scanner.scan(/\{/)

          start = at
          text = @scanner.scan(/[^{}]*/)
          @scanner.scan(/\}/) || refuse("“}”")
          words = text.split(",").map(&:strip)
          raise Unreadable.new(@text, start, "words such as readOnly") if words.empty? || words.any?(&:empty?)

          words
        end
      end
    end
  end
end
