# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      module Samples
        # Values of a type, one for each number; near the constants that checks speak of where they do.
        class Values
          DAY = 86_400
          FIRST = Time.utc(2026, 1, 1)
          WHOLE = { "smallint" => 30_000, "integer" => 1_000_000, "bigint" => 1_000_000_000 }.freeze

          # @param type [String] of PostgreSQL
          # @param title [String] of the column, of which texts are made
          # @param constants [Array<Object>] of its checks
          # @param patterns [Array<String>] regular expressions of its checks
          def initialize(type, title, random, constants = [], patterns = [])
            @type = type.to_s
            @name = @type[/\A[^(\[]+/].to_s.strip
            @figures = @type[/\((.*?)\)/, 1].to_s.split(",").map(&:to_i)
            @title = title
            @random = random
            @constants = constants
            @patterns = patterns
          end

          # @return [Boolean] whether values of the type are known
          def known? = !plain(0).nil?

          # @param index [Integer] of the row
          # @param attempt [Integer] the how manieth try
          # @return [Object] a number, text, true or false
          def at(index, attempt = 0)
            return Pattern.new(@patterns[attempt % @patterns.length], @random).example || plain(index) if @patterns.any?

            near = @constants[(attempt / 2) - 1] if attempt.positive? && @constants.any? && attempt.even?
            near ? beside(near) : plain(attempt.zero? ? index : @random.rand(index + 1 + (attempt * 7)))
          end

          private

          def beside(constant)
            return constant unless constant.is_a?(Numeric)
            return sized([constant.to_i + @random.rand(-1..1), 0].max) if texts?

            step = numbers? && scale.positive? ? Rational(@random.rand(-100..100), 10**scale) : @random.rand(-9..9)
            constant + step
          end

          # Of so many characters.
          def sized(length) = text(@random.rand(100_000)).ljust(length, "x")[0, length]

          def texts? = %w[text varchar char bpchar name citext].include?(@name)
          def numbers? = WHOLE.key?(@name) || %w[numeric real money].include?(@name) || @name == "double precision"

          def scale
            return @figures[1].to_i if @name == "numeric"

            WHOLE.key?(@name) ? 0 : 2
          end

          def plain(number)
            return "{}" if @type.end_with?("]")
            return (number % WHOLE[@name]) + 1 if WHOLE.key?(@name)

            case @name
            when "numeric" then amount(number)
            when "real", "double precision", "money" then number + 0.5
            when "text", "varchar", "char", "bpchar", "name", "citext" then text(number)
            when "\"char\"" then ("a".ord + (number % 26)).chr
            when "boolean" then number.even?
            else moment(number) || other(number)
            end
          end

          # Within the figures that there are.
          def amount(number)
            most = @figures.any? ? 10**(@figures[0] - @figures[1].to_i) : 100_000
            Rational(number + 1, scale.positive? ? 10 : 1) % [most, 1].max
          end

          def text(number)
            length = @figures.first
            return "#{@title.tr("_", " ")} #{number + 1}" if length.nil? || length > @title.length + 9

            length = [length, 6].min unless %w[char bpchar].include?(@name)
            number.to_s(36).upcase.rjust(length, "0")[-length, length]
          end

          def moment(number)
            at = FIRST + (number * DAY)
            case @name
            when "date" then day(number)
            when "timestamp", "timestamptz" then (at + (number % DAY)).strftime("%Y-%m-%d %H:%M:%S#{"+00" if @name == "timestamptz"}")
            when "time", "timetz" then (FIRST + (number % DAY)).strftime("%H:%M:%S")
            when /\Ainterval/ then "#{number + 1} hours"
            end
          end

          def day(number) = (FIRST + (number * DAY)).strftime("%Y-%m-%d")

          def other(number)
            case @name
            when "uuid" then format("%08x-0000-4000-8000-%012x", number + 1, number + 1)
            when "json", "jsonb" then %({"n": #{number + 1}})
            when "bytea" then format("\\x%04x", number % 65_536)
            when "inet" then "10.#{(number >> 16) & 255}.#{(number >> 8) & 255}.#{number & 255}"
            when "cidr" then "10.#{(number >> 8) & 255}.#{number & 255}.0/24"
            when "macaddr" then format("02:00:00:%02x:%02x:%02x", (number >> 16) & 255, (number >> 8) & 255, number & 255)
            when "bit", "varbit" then number.to_s(2).rjust(@figures.first || 1, "0")[-(@figures.first || 1)..]
            when "xml" then "<n>#{number + 1}</n>"
            when "int4range", "int8range", "numrange" then "[#{number * 10},#{(number * 10) + 5})"
            when "daterange" then "[#{day(number * 10)},#{day((number * 10) + 5)})"
            when "point" then "(#{number},#{number})"
            end
          end
        end
      end
    end
  end
end
