# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # What a participant is one of: a class or a component, which its type names.
      module Typing
        KINDS = %w[class component].freeze

        module_function

        # @return [Model::Element, nil]
        def of(set, participant)
          name = participant["type"] or return
          found = set.named(name.split(/::|\./).last.to_s).select { |one| KINDS.include?(one.kind) }
          found.find { |one| one.kind == "class" } || found.first
        end

        # @return [Boolean] whether its messages can be operations
        def classed?(set, participant) = of(set, participant)&.kind == "class"

        # @return [Array<Model::Element>] the operations of its class and of all that this is a kind of or realises
        def operations(set, participant)
          type = of(set, participant)
          return [] unless type&.kind == "class"

          inheritance = Classes::Inheritance.new(set)
          classes = [type.id, *inheritance.above(type.id), *inheritance.interfaces(type.id)].uniq
          classes.flat_map { |id| Classes::Featuring.operations(set, id) }.uniq { |part| inheritance.signature(part) }
        end
      end
    end
  end
end
