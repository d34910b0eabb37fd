# frozen_string_literal: true

module Basalt
  module Journeys
    module Checks
      # A part that no step comes by, on a sheet on which journeys are walked.
      class PartInNoJourney < JourneyCheck
        rule "part-in-no-journey", :hint, reads: READS

        # So many of a sheet are told, one by one.
        MOST = 40

        private

        def found = survey.sheet_ids.flat_map { |id| idle(id).first(MOST) }.uniq(&:id).map { |thing| idle_finding(thing) }

        def idle(sheet_id)
          notation = set.sheets[sheet_id].notation
          set.things_on(sheet_id).select do |thing|
            thing.description.figure.nil? && notation.walked?(thing) && !survey.touched.key?(thing.id)
          end
        end

        def idle_finding(thing)
          finding(thing.id, "No journey comes by #{thing.name}", "Either somebody needs it and nobody walked there, or it can go.")
        end
      end
    end
  end
end
