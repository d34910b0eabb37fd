# frozen_string_literal: true

module Basalt
  module Cloud
    module Checks
      # A balancer has targets that it cannot reach.
      class NoWayIn < CloudCheck
        rule "no-way-in", :error, reads: READS

        def findings
          connections.select { |one| one["verb"] == Verbs::TARGETS }.filter_map do |line|
            from, to = line.endpoints.first(2).map { |id| scape.interface(id) }
            next if from.nil? || to.nil?

            asked = TrafficText.traffic(line["protocol"], line["ports"])
            told(line, asked) if (reach.reach(from, to) & asked).empty?
          end
        end

        private

        def told(line, asked)
          from, to = line.endpoints.first(2)
          finding([line.id, to], "#{name(from)} cannot reach its target #{name(to)}",
                  "No rule lets #{asked == Reach::Traffic::ALL ? "anything" : asked} from one to the other: the balancer takes the " \
                  "target for dead.")
        end
      end
    end
  end
end
