# frozen_string_literal: true

module Basalt
  module Change
    # Lets a finding stand, with a reason; an older waiver of the same finding gives way.
    Waive =
      Value.of(:finding, :state, :reason, :said_by, :at) do
        def apply(draft)
          raise Refusals::ReasonMissing if reason.to_s.strip.empty?

          draft.waivers.by(:finding, finding).each { |old| draft.delete(:waivers, old.id) }
          draft.put(
            :waivers,
            Model::Waiver.new(id: draft.new_id, finding:, state:, reason: Model::Names.clean(reason, limit: 500), said_by:, at:)
          )
        end
      end
  end
end
