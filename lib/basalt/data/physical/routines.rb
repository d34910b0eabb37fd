# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # Routines and operators are told apart by the types that they take.
      module Routines
        OUT = %i[FUNC_PARAM_OUT FUNC_PARAM_TABLE].freeze

        module_function

        # @param parameters [Array<PgQuery::FunctionParameter, PgQuery::Node>]
        # @return [String] the types of what goes in, in parentheses
        def arguments(parameters)
          taken = parameters.map { |one| one.is_a?(PgQuery::Node) ? one.function_parameter : one }.reject { |one| OUT.include?(one.mode) }
          "(#{taken.map { |one| TypeName.of(one.arg_type).first }.join(", ")})"
        end

        # @param named [PgQuery::ObjectWithArgs]
        # @return [String, nil] nil where any of that name is meant
        def of(named)
          return if named.args_unspecified
          return arguments(named.objfuncargs) if named.objfuncargs.any?

          "(#{named.objargs.map { |one| one.type_name ? TypeName.of(one.type_name).first : "*" }.join(", ")})"
        end

        # @return [String] what stands at the left and at the right of an operator
        def sides(definition)
          types = definition.map(&:def_elem).to_h { |one| [one.defname, one.arg&.type_name] }
          "(#{types.values_at("leftarg", "rightarg").compact.map { |one| TypeName.of(one).first }.join(", ")})"
        end
      end
    end
  end
end
