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
        # Letters of a list of features.
        LISTED = 4000
        NAME = /[\p{L}_$][\p{L}\p{N}_$.?!-]*(?: +[\p{L}\p{N}_$][\p{L}\p{N}_$.?!-]*)*/
        # A name that is not of this shape stands in double quotes.
        QUOTED = /"((?:[^"]|"")+)"/
        OPERATOR = /(?:==|===|<=>|<=|>=|<<|>>|\[\]=?|[+\-*\/%<>!~^&|]+)(?=\s*\()/
        CLOSING = { "(" => ")", "[" => "]", "{" => "}", "<" => ">" }.freeze

        # @param text [String]
        # @return [Attribute, Operation]
        # @raise [Unreadable]
        def self.read(text) = new(text).feature

        # @param text [String] features separated by commas
        # @return [Array<Attribute, Operation>]
        # @raise [Unreadable]
        def self.list(text) = new(text, limit: LISTED).features

        # @param text [String] parameters as they stand in the parentheses
        # @return [Array<Parameter>]
        # @raise [Unreadable]
        def self.parameters(text) = new(text).lone_parameters

        # @param text [String] of one parameter
        # @return [Parameter]
        # @raise [Unreadable]
        def self.parameter(text) = new(text).lone_parameter

        def initialize(text, limit: LIMIT)
          @text = text.unicode_normalize(:nfc)
          raise Unreadable.new(@text, limit, "no more than #{limit} letters") if @text.length > limit

          @scanner = StringScanner.new(@text)
        end

        # @return [String] the name as the notation has it
        def self.spelled(text)
          plain = text.match?(/\A(?:#{NAME}|#{OPERATOR.source.sub(/\(\?=.*\z/, "")})\z/o)
          plain ? text : "\"#{text.gsub('"', '""')}\""
        end

        def feature = one(/\z/).tap { ended }

        def features
          found = [one(/,/)]
          blank
          while @scanner.scan(/,/)
            found << one(/,/)
            blank
          end
          ended
          found
        end

        def lone_parameter
          blank
          parameter(/\z/).tap { ended }
        end

        def lone_parameters
          blank
          found = []
          until @scanner.eos?
            refuse("a comma") unless found.empty? || @scanner.scan(/,/)
            blank
            found << parameter(/,/)
            blank
          end
          found
        end

        private

        # @param last [Regexp] what may follow it
        def one(last)
          blank
          visibility = @scanner.scan(/[+\-#~]/)
          blank
          # In front of parentheses it is the operator.
          derived = !@scanner.scan(%r{/(?!\s*\()}).nil?
          blank
          named(visibility, derived, last)
        end

        def blank = @scanner.skip(/\s+/)
        def at = @scanner.charpos
        def refuse(expected) = raise(Unreadable.new(@text, at, expected))
        def ended = blank.then { refuse("nothing more") unless @scanner.eos? }

        def named(visibility, derived, last)
          name = (derived ? nil : @scanner.scan(OPERATOR)) || name() || refuse("a name")
          blank
          return operation(visibility, name, last) if !derived && @scanner.scan(/\(/)

          Attribute.new(visibility:, derived:, name:, **typed(last))
        end

        def name = @scanner.scan(QUOTED) ? @scanner[1].gsub('""', '"') : @scanner.scan(NAME)

        def operation(visibility, name, last)
          parameters = parameters()
          type = optional(/:/) { type(last) }
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
          name = @scanner.scan(/\*{1,2}|&/).to_s + (name() || refuse("a name of a parameter"))
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
