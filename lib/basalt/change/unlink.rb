# frozen_string_literal: true

module Basalt
  module Change
    # Takes away that an element opens into a sheet.
    Unlink = Value.of(:id) do
      def apply(draft)
        draft.links[id] or raise Refusals::Gone, "the link"
        draft.delete(:links, id)
      end
    end
  end
end
