# frozen_string_literal: true

require "strscan"

module Basalt
  module Data
    module Physical
      module Samples
        # A text that a regular expression matches (PostgreSQL 15, 9.7.3), of those that people write for codes: characters, classes, how
        # many, and the first of several ways.
        class Pattern
          CLASSES = { "d" => [*"0".."9"], "w" => [*"a".."z", *"0".."9"], "s" => [" "] }.freeze
          ANY = [*"a".."z"].freeze
          MANY = { "*" => [0, 3], "+" => [1, 4], "?" => [0, 1] }.freeze

          # @param source [String]
          def initialize(source, random)
            @source = source.delete_prefix("^").delete_suffix("$")
            @random = random
          end

          # @return [String, nil] nil where the expression is more than that
          def example
            @scanner = StringScanner.new(@source)
            text = sequence
            @scanner.eos? ? text : nil
          end

          private

          # Of several ways the first.
          def sequence
            text = +""
            until @scanner.eos? || @scanner.check(/\)/)
              next skip_others if @scanner.skip(/\|/)

              one = atom or return text
              text << Array.new(times) { one.call }.join
            end
            text
          end

          def skip_others
            depth = 0
            until @scanner.eos? || (depth.zero? && @scanner.check(/\)/))
              depth += { "(" => 1, ")" => -1 }.fetch(@scanner.getch, 0)
            end
          end

          # @return [#call, nil] gives a text for it each time
          def atom
            if @scanner.scan(/\[([^\]^][^\]]*)\]/) then among(members(@scanner[1]))
            elsif @scanner.scan(/\\([dws])/) then among(CLASSES[@scanner[1]])
            elsif @scanner.scan(/\\(.)/) || @scanner.scan(/([^\[\]()\\.*+?{}|^$])/) then @scanner[1].then { |char| -> { char } }
            elsif @scanner.skip(/\./) then among(ANY)
            elsif @scanner.skip(/\((?:\?:)?/) then grouped
            end
          end

          def grouped
            text = sequence
            @scanner.skip(/\)/)
            -> { text }
          end

          def among(characters) = -> { characters.sample(random: @random) }

          def members(said)
            said.scan(/\\([dws])|(.)-(.)|(.)/).flat_map do |kind, from, to, one|
              kind ? CLASSES[kind] : (from ? [*from..to] : [one])
            end
          end

          def times
            return @random.rand(Range.new(*MANY[@scanner.matched])) if @scanner.scan(/[*+?]/)
            return 1 unless @scanner.scan(/\{(\d+)(,)?(\d+)?\}/)

            least = @scanner[1].to_i
            most = @scanner[2] ? (@scanner[3] || (least + 3)).to_i : least
            @random.rand(least..[most, least].max)
          end
        end
      end
    end
  end
end
