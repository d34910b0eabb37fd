# frozen_string_literal: true

module Basalt
  module Change
    # Says of something that was there under which id another place knows it.
    Adopt = Value.of(:id, :external_id) do
      def apply(draft)
        element = draft.element(id) or raise Refusals::Gone, "what was to be known"
        raise Mistake, "#{element.name} came from elsewhere already" unless [nil, external_id].include?(element.external_id)

        draft.put(:elements, element.with(external_id:)) unless element.external_id == external_id
      end
    end
  end
end
