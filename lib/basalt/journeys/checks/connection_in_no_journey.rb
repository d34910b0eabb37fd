# frozen_string_literal: true

module Basalt
  module Journeys
    module Checks
      # A connection that no step goes along, on a sheet on which journeys are walked, between parts that journeys come by.
      class ConnectionInNoJourney < JourneyCheck
        rule "connection-in-no-journey", :hint, reads: READS

        MOST = 40

        private

        def found = survey.sheet_ids.flat_map { |id| idle(id).first(MOST) }.uniq(&:id).map { |line| idle_finding(line) }

        # What a part alone is idle for is told of the part.
        def idle(sheet_id)
          survey.lines(sheet_id).all.reject { |id| survey.touched.key?(id) }.map { |id| set.element(id) }
            .select { |line| line.endpoints.all? { |id| walked?(sheet_id, id) } }
        end

        def walked?(sheet_id, id)
          thing = set.element(id)
          thing = set.element(thing.owner_id) while thing.owner_id && !set.shown?(sheet_id, thing.id)
          survey.touched.key?(thing.id) || set.sheets[sheet_id].notation.passes_on?(thing)
        end

        def idle_finding(line)
          ends = line.endpoints.map { |id| set.element(id).name }
          finding([line.id, *line.endpoints], "No journey goes from #{ends.first} to #{ends.last}",
                  "What is joined for nothing is kept up, and guarded, for nothing.")
        end
      end
    end
  end
end
