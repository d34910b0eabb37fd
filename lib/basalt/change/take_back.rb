# frozen_string_literal: true

module Basalt
  module Change
    # Takes a waiver back; the finding counts again.
    TakeBack = Value.of(:id) do
      def apply(draft)
        raise Refusals::Gone, "the waiver" unless draft.waivers[id]

        draft.delete(:waivers, id)
      end
    end
  end
end
