# frozen_string_literal: true

module Basalt
  module Process
    module Checks
      # Somebody drawn around a process who processes information within it.
      class InsideDrawnAsOutside < FlowCheck
        rule "inside-drawn-as-outside", :warning, reads: %w[party system activity]

        def findings
          standing = SystemBoundary.new(set)
          set
            .of_kind("party")
            .select { |party| drawn?(party.id) }
            .filter_map do |party|
              verdict = standing.of(party)
              next if verdict.nil? || verdict.outside?

              finding(
                party.id,
                "#{party.name} is drawn outside, and is inside",
                "Of #{party.name} the activity table says: #{verdict.why}. What it does is part of the process.",
                repair:
                  repair(
                    "Take it off these sheets",
                    *drawn
                      .select { |sheet| set.shown?(sheet.id, party.id) }
                      .map { |sheet| Change::TakeOff.new(sheet_id: sheet.id, element_id: party.id) }
                  )
              )
            end
        end
      end
    end
  end
end
