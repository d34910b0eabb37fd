# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # Interactions that fragments refer to by name (UML 2.5.1, 17.7, InteractionUse).
      module References
        module_function

        # @return [Model::Element, nil]
        def named(set, name) = set.named(name.to_s).find { |one| one.kind == Kinds::INTERACTION }

        # @return [Model::Element, nil] the interaction that a fragment refers to
        def of(set, fragment) = fragment["operator"] == Kinds::REFERENCE && fragment["refers"] ? named(set, fragment["refers"]) : nil

        # @return [Array<Array(String, String)>] ids of an interaction and of one that it refers to
        def pairs(set)
          set.of_kind("fragment").filter_map do |fragment|
            to = of(set, fragment) or next
            from = Course.interaction(set, fragment)
            [from.id, to.id] if from
          end
        end
      end
    end
  end
end
