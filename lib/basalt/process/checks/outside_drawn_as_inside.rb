# frozen_string_literal: true

module Basalt
  module Process
    module Checks
      # A process that is somebody outside, or is done by somebody outside.
      class OutsideDrawnAsInside < FlowCheck
        rule "outside-drawn-as-inside", :warning, reads: %w[party process activity]

        def findings
          standing = SystemBoundary.new(set)
          outside = set.of_kind("party").select { |party| standing.of(party)&.outside? }
          set
            .of_kind("process")
            .filter_map do |process|
              party = outside.find { |one| [process.name, process["performer"]].compact.any? { |name| name.casecmp?(one.name) } } or next
              finding(
                [process.id, party.id],
                "#{party.name} is drawn inside, and is outside",
                "Of #{party.name} the activity table says: #{standing.of(party).why}.",
                repair:
                  (
                    if process["performer"]
                      repair("Leave open who does it", Change::Set.new(id: process.id, fact: "performer", value: nil))
                    else
                      nil
                    end
                  )
              )
            end
        end
      end
    end
  end
end
