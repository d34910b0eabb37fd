# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      module Samples
        # What a check says of a row, as far as that can be worked out without a server: comparisons, ranges, lists, lengths and NULL, in
        # the logic of three values (ISO/IEC 9075-2, 8).
        class Condition
          UNKNOWN = Object.new.freeze
          COMPARED = { "=" => :==, "<>" => :!=, "<" => :<, ">" => :>, "<=" => :<=, ">=" => :>= }.freeze
          COUNTED = { "+" => :+, "-" => :-, "*" => :*, "/" => :/, "%" => :% }.freeze

          # @param sql [String] the expression of a check
          def initialize(sql)
            @node = PostgresParser.parse("SELECT #{sql}").tree.stmts.first.stmt.select_stmt.target_list.first.res_target.val
          rescue PostgresParser::ParseError
            @node = nil
          end

          # @param row [Hash{String => Object}] values by column
          # @return [Boolean] false where the row breaks it; what cannot be worked out here is left to the server
          def holds?(row)
            @node.nil? || value(@node, row) != false
          rescue ArgumentError, TypeError, NoMethodError, ZeroDivisionError, RegexpError
            true
          end

          # @return [Array<String>] the regular expressions that something has to match
          def patterns
            found = []
            each_of(@node) { |one| found << one.rexpr if one.is_a?(PgQuery::A_Expr) && one.name.last&.string&.sval == "~" } if @node
            found.filter_map { |node| value(node, {}) }.grep(String)
          end

          # @return [Array<Object>] the constants that it speaks of, near which a value may be
          def constants = @constants ||= gather(@node)

          # @return [Array<String>] the columns that it speaks of
          def columns = @columns ||= names(@node).uniq

          private

          def value(node, row)
            one = node.inner
            case node.node
            when :a_const then constant(one)
            when :column_ref then row.fetch(one.fields.last.string.sval, UNKNOWN)
            when :type_cast then value(one.arg, row)
            when :a_expr then compared(one, row)
            when :bool_expr then joined(one, row)
            when :null_test then tested(one, row)
            when :func_call then called(one, row)
            else UNKNOWN
            end
          end

          def constant(one)
            return nil if one.isnull
            return one.boolval.boolval if one.boolval
            return one.ival.ival if one.ival
            return one.fval.fval.to_r if one.fval

            one.sval&.sval
          end

          def compared(one, row)
            operator = one.name.last.string.sval
            return listed(one, row) if %i[AEXPR_IN AEXPR_OP_ANY].include?(one.kind)
            return between(one, row) if one.kind == :AEXPR_BETWEEN
            return UNKNOWN unless one.kind == :AEXPR_OP && one.lexpr

            left, right = [one.lexpr, one.rexpr].map { |part| value(part, row) }
            return UNKNOWN if [left, right].any? { |part| part.equal?(UNKNOWN) }
            return nil if left.nil? || right.nil?

            apply(operator, *alike(left, right))
          end

          def apply(operator, left, right)
            return left.public_send(COMPARED[operator], right) if COMPARED.key?(operator)
            return left.match?(Regexp.new(right)) if operator == "~"

            COUNTED.key?(operator) ? left.public_send(COUNTED[operator], right) : UNKNOWN
          end

          # A text beside a number is one.
          def alike(left, right)
            return [left, number(right)] if left.is_a?(Numeric) && right.is_a?(String)
            return [number(left), right] if right.is_a?(Numeric) && left.is_a?(String)

            [left, right]
          end

          def number(text) = Rational(text)

          def listed(one, row)
            left = value(one.lexpr, row)
            return left if left.nil? || left.equal?(UNKNOWN)

            found = items(one.rexpr).any? { |item| alike(left, value(item, row)).reduce(:==) }
            one.name.last.string.sval == "<>" ? !found : found
          end

          def items(array)
            array = array.type_cast.arg while array.node == :type_cast
            array.node == :list ? array.list.items : array.a_array_expr.elements
          end

          def between(one, row)
            left = value(one.lexpr, row)
            return left if left.nil? || left.equal?(UNKNOWN)

            low, high = one.rexpr.list.items.map { |item| alike(left, value(item, row)).last }
            left.between?(low, high)
          end

          def joined(one, row)
            found = one.args.map { |part| value(part, row) }
            case one.boolop
            when :NOT_EXPR then [true, false].include?(found.first) ? !found.first : found.first
            when :AND_EXPR then decided(found, false)
            else decided(found, true)
            end
          end

          # One of them decides; otherwise what is not known makes all of it unknown.
          def decided(found, way)
            return way if found.include?(way)

            found.all?(!way) ? !way : found.find { |part| part != !way }
          end

          def tested(one, row)
            found = value(one.arg, row)
            return UNKNOWN if found.equal?(UNKNOWN)

            one.nulltesttype == :IS_NULL ? found.nil? : !found.nil?
          end

          def called(one, row)
            given = one.args.map { |part| value(part, row) }
            return UNKNOWN if given.any? { |part| part.equal?(UNKNOWN) }

            name = one.funcname.last.string.sval
            return given.compact.length if name == "num_nonnulls"
            return given.count(nil) if name == "num_nulls"
            return nil if given.include?(nil)

            case name
            when "length", "char_length", "character_length" then given.first.length
            when "lower", "upper" then given.first.public_send(name == "lower" ? :downcase : :upcase)
            when "btrim", "trim" then given.first.strip
            when "abs" then given.first.abs
            else UNKNOWN
            end
          end

          def gather(node)
            return [] unless node

            found = []
            each_of(node) { |inner| found << constant(inner) if inner.is_a?(PgQuery::A_Const) }
            found.compact
          end

          def names(node)
            found = []
            each_of(node) { |inner| found << inner.fields.last.string&.sval if inner.is_a?(PgQuery::ColumnRef) } if node
            found.compact
          end

          def each_of(node, &)
            result = PostgresParser::ParseResult.new(stmts: [PostgresParser::RawStmt.new(stmt: node)])
            PostgresParser::ParserResult.new("", result).walk!(&)
          end
        end
      end
    end
  end
end
