# frozen_string_literal: true

module Basalt
  module Cloud
    module Checks
      # A connection is drawn that the rules forbid.
      class ConnectionNotAllowed < CloudCheck
        rule "connection-not-allowed", :error, reads: READS

        def findings
          connections.reject { |one| [Verbs::JOINED, Verbs::TARGETS].include?(one["verb"]) }.filter_map do |line|
            asked = TrafficText.traffic(line["protocol"], line["ports"])
            open = open(line)
            told(line, asked, open) if open && (line["protocol"] ? !open.cover?(asked) : open.empty?)
          end
        end

        private

        # @return [Reach::Traffic, nil] nil where no rules are about it
        def open(line)
          from, to = line.endpoints.first(2)
          one, other = [from, to].map { |id| scape.interface(id) }
          return reach.reach(one, other) if one && other && ruled?(one, other)

          outside(from, other, to, one)
        end

        def outside(from, other, to, one)
          return widest { |party| reach.between(party, reach.party(other)).apart } if other && internet?(from) && ruled?(other)

          widest { |party| reach.between(reach.party(one), party).apart } if one && internet?(to) && ruled?(one)
        end

        def widest(&) = reach.outside.keys.map(&).reduce(Reach::Traffic::NONE, :|)
        def internet?(id) = set.element(id)["service"] == Services::INTERNET

        # A sheet without rules, lists and tables says nothing of what is allowed.
        def ruled?(*interfaces)
          interfaces.any? do |one|
            subnet = scape.landscape.subnets.fetch(one.subnet_id)
            one.group_ids.any? || subnet.list_id || subnet.table_id
          end
        end

        def told(line, asked, open)
          what = asked == Reach::Traffic::ALL ? "" : " by #{asked}"
          verb = line["taken"] ? "The rules do not allow any more that" : "No rule allows that"
          finding([line.id, *line.endpoints.first(2)], "#{verb} #{name(line.target("from"))} reaches #{name(line.target("to"))}#{what}",
                  "The drawing promises what does not work. #{open.empty? ? "Nothing passes between the two." : "What passes is #{open}."}")
        end
      end
    end
  end
end
