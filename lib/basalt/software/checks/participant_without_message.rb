# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # A participant that neither says nor hears anything.
      class ParticipantWithoutMessage < InteractionCheck
        rule "participant-without-message", :warning, reads: %w[participant message], each: "participant"

        def about(one)
          return [] if set.relations_of(one.id, "message").any?

          [
            finding(
              one.id,
              "#{one.name} neither says nor hears anything",
              "Who takes part in nothing that happens need not stand there.",
              repair: repair("Take #{one.name} out", Change::Remove.new(id: one.id))
            )
          ]
        end
      end
    end
  end
end
