# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # An expression of PostgreSQL in words that other engines know as well (ISO/IEC 9075-2, 6 and 8), as far as it can be said in them.
      class Expression
        # It cannot; the message says what stands in the way.
        class Unsaid < Mistake
        end

        OPERATORS = %w[= <> < > <= >= + - * / || %].freeze
        FUNCTIONS = {
          "lower" => "lower", "upper" => "upper", "trim" => "trim", "btrim" => "trim", "abs" => "abs", "round" => "round",
          "length" => "length", "char_length" => "length", "character_length" => "length", "replace" => "replace", "substr" => "substr",
          "substring" => "substr", "nullif" => "nullif", "count" => "count", "sum" => "sum", "min" => "min", "max" => "max", "avg" => "avg"
        }.freeze
        NOW = {
          "SVFOP_CURRENT_DATE" => "CURRENT_DATE", "SVFOP_CURRENT_TIME" => "CURRENT_TIME", "SVFOP_CURRENT_TIMESTAMP" => "CURRENT_TIMESTAMP",
          "SVFOP_LOCALTIMESTAMP" => "CURRENT_TIMESTAMP", "SVFOP_LOCALTIME" => "CURRENT_TIME"
        }.freeze

        MOMENTS = { "date" => "CURRENT_DATE", "timestamp" => "CURRENT_TIMESTAMP", "timestamptz" => "CURRENT_TIMESTAMP" }.freeze

        # @param engine [Engine] that is to understand it
        # @param value [String, nil] what stands for VALUE, as a domain says of the column that is of it
        def initialize(engine, value: nil)
          @engine = engine
          @value = value
        end

        # @param sql [String]
        # @return [String]
        # @raise [Unsaid]
        def of(sql)
          node = PostgresParser.parse("SELECT #{sql}").tree.stmts.first.stmt.select_stmt.target_list.first.res_target.val
          say(node)
        rescue PostgresParser::ParseError
          raise Unsaid, "it cannot be read"
        end

        private

        def say(node)
          one = node.inner
          case node.node
          when :a_const then constant(one)
          when :column_ref then reference(one)
          when :a_expr then compared(one)
          when :bool_expr then joined(one)
          when :null_test then "#{inner(one.arg)} IS #{"NOT " if one.nulltesttype == :IS_NOT_NULL}NULL"
          when :type_cast then cast(one)
          when :func_call then called(one)
          when :sqlvalue_function then NOW.fetch(one.op.to_s) { unsaid(one.op.to_s.delete_prefix("SVFOP_").downcase) }
          when :coalesce_expr then "coalesce(#{all(one.args)})"
          when :case_expr then chosen(one)
          when :list then "(#{all(one.items)})"
          else unsaid(node.node.to_s.delete_suffix("_expr").tr("_", " "))
          end
        end

        def unsaid(what) = raise(Unsaid, "“#{what}” is not known there")
        def all(nodes) = nodes.map { |one| say(one) }.join(", ")

        # In parentheses where it is more than one word.
        def inner(node) = %i[a_expr bool_expr null_test case_expr].include?(node.node) ? "(#{say(node)})" : say(node)

        def constant(one)
          return "NULL" if one.isnull
          return @engine.truth(one.boolval.boolval) if one.boolval
          return one.ival.ival.to_s if one.ival
          return one.fval.fval if one.fval
          return @engine.text(one.sval.sval) if one.sval

          unsaid("a bit string")
        end

        def reference(one)
          name = one.fields.last.string&.sval or unsaid("*")
          return @value if @value && name == "value"

          @engine.quote(name)
        end

        def compared(one)
          operator = one.name.map { |part| part.string.sval }.last
          case one.kind
          when :AEXPR_OP then operated(one, operator)
          when :AEXPR_IN then "#{inner(one.lexpr)} #{"NOT " if operator == "<>"}IN #{say(one.rexpr)}"
          when :AEXPR_LIKE then "#{inner(one.lexpr)} #{"NOT " if operator == "!~~"}LIKE #{inner(one.rexpr)}"
          when :AEXPR_BETWEEN, :AEXPR_NOT_BETWEEN
            ends = one.rexpr.list.items.map { |part| inner(part) }.join(" AND ")
            "#{inner(one.lexpr)} #{"NOT " if one.kind == :AEXPR_NOT_BETWEEN}BETWEEN #{ends}"
          when :AEXPR_NULLIF then "nullif(#{say(one.lexpr)}, #{say(one.rexpr)})"
          when :AEXPR_OP_ANY then among(one, operator)
          else unsaid(operator)
          end
        end

        def operated(one, operator)
          operator = "<>" if operator == "!="
          unsaid(operator) unless OPERATORS.include?(operator)
          return "#{operator}#{inner(one.rexpr)}" unless one.lexpr
          return @engine.together(inner(one.lexpr), inner(one.rexpr)) if operator == "||"

          "#{inner(one.lexpr)} #{operator} #{inner(one.rexpr)}"
        end

        # PostgreSQL keeps IN as = ANY (ARRAY[...]).
        def among(one, operator)
          array = one.rexpr
          array = array.type_cast.arg while array.node == :type_cast
          unsaid("any") unless operator == "=" && array.node == :a_array_expr

          "#{inner(one.lexpr)} IN (#{all(array.a_array_expr.elements)})"
        end

        def joined(one)
          return "NOT #{inner(one.args.first)}" if one.boolop == :NOT_EXPR

          one.args.map { |part| inner(part) }.join(one.boolop == :AND_EXPR ? " AND " : " OR ")
        end

        # What a text is taken for it is anyway where it is compared or kept.
        def cast(one)
          type = one.type_name.names.last.string.sval
          arg = one.arg
          arg = arg.type_cast.arg while arg.node == :type_cast
          said = arg.a_const&.sval&.sval
          return @engine.truth(said.start_with?("t")) if type == "bool" && said

          return MOMENTS[type] if said&.downcase == "now" && MOMENTS.key?(type)

          unsaid("regclass") if type == "regclass"
          say(one.arg)
        end

        def called(one)
          name = one.funcname.last.string.sval
          return "CURRENT_TIMESTAMP" if %w[now transaction_timestamp statement_timestamp].include?(name)
          return "#{FUNCTIONS.fetch(name)}(*)" if one.agg_star && FUNCTIONS.key?(name)

          known = FUNCTIONS[name] or unsaid("#{name}()")
          "#{@engine.function(known)}(#{all(one.args)})"
        end

        def chosen(one)
          whens = one.args.map { |part| "WHEN #{say(part.case_when.expr)} THEN #{say(part.case_when.result)}" }
          ["CASE", (say(one.arg) if one.arg), *whens, ("ELSE #{say(one.defresult)}" if one.defresult), "END"].compact.join(" ")
        end
      end
    end
  end
end
