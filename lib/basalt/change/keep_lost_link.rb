# frozen_string_literal: true

module Basalt
  module Change
    # That an element opened into a sheet which is not there: such as a text tells of it.
    KeepLostLink = Value.of(:element_id, :lost, :title) do
      def apply(draft)
        raise Refusals::Gone, "what opened" unless draft.element(element_id)

        named = Model::Names.clean(lost)
        return if draft.links_of(element_id).any? { |link| link.dangling? && link.lost == named }

        draft.put(:links, Model::Link.new(id: draft.new_id, element_id:, lost: named, title: title && Model::Names.clean(title)))
      end
    end
  end
end
