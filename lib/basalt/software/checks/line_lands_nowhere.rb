# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # A line of the context that no component takes or hands out, once the system has components.
      class LineLandsNowhere < Basalt::Checks::Check
        rule "line-lands-nowhere", :warning, reads: %w[system process component port flow exchange party store]

        def findings
          set.of_kind("component").filter_map(&:container_id).uniq.map { |id| set.element(id) }
            .reject { |one| %w[component package].include?(one.kind) }
            .flat_map { |centre| of(centre) }
        end

        private

        def of(centre)
          around = Components::Surroundings.new(set, centre.id)
          around.open_lines.map { |line| open_line(centre, around, line) }
        end

        def open_line(centre, around, line)
          other = set.element(line.neighbour_id).name
          passing = line.outwards ? "hands #{line.name} to #{other}" : "takes #{line.name} from #{other}"
          only = around.components.first if around.components.one?
          finding(
            [centre.id, line.flow_id],
            "No component of #{centre.name} #{passing}",
            "What passes the edge of the system has to come from one of its parts or go to one.",
            repair: only && repair("Let it land on #{only.name}", *around.land(line, only.id)),
            also: [line.neighbour_id]
          )
        end
      end
    end
  end
end
