# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # Who takes part in an interaction. A name that the project knows as that of an actor, a system, a class or a component says what
      # the participant is.
      module TakingPart
        module_function

        # @param named [#to_str] a name, or one with a +type+
        # @return [Model::Element] the participant of that name, which is made where it is not there
        def in(draft, interaction_id, named)
          name = Model::Names.clean(named.to_str)
          known(draft, interaction_id, name) || make(draft, interaction_id, name, named.respond_to?(:type) ? named.type : nil)
        end

        def make(draft, interaction_id, name, type)
          id = draft.new_id
          facts = type ? { "type" => type } : nature(draft, name)
          Change::Add.new(kind: "participant", name:, facts:, container_id: interaction_id, id:).apply(draft)
          draft.element(id).tap { |one| Scope.show(draft, interaction_id, one) }
        end

        # @return [Model::Element, nil]
        def known(set, interaction_id, name) =
          set.named(name).find { |one| one.kind == "participant" && one.container_id == interaction_id }

        # @return [Hash{String => String}] facts
        def nature(set, name)
          kinds = set.named(name).map(&:kind)
          return { "nature" => kinds.find { |kind| %w[actor system].include?(kind) } } if kinds.intersect?(%w[actor system])

          kinds.intersect?(Typing::KINDS) ? { "type" => name } : {}
        end
      end
    end
  end
end
