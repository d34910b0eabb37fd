# frozen_string_literal: true

module Basalt
  module Cloud
    module Checks
      # Anybody on the internet can reach a thing by ports that nobody drew.
      class OpenToTheWorld < CloudCheck
        rule "open-to-the-world", :warning, reads: READS, at_worst: :error

        # By which machines are looked after and stores are asked (Service Name and Transport Protocol Port Number Registry, RFC 6335).
        GRAVE = [22, 23, 445, 1433, 1521, 3306, 3389, 5432, 5900, 5984, 6379, 9042, 9200, 11_211, 27_017].freeze

        GRAVE_WHY = "By such ports machines are looked after and stores are asked; whoever scans the internet finds them within hours."
        private_constant :GRAVE_WHY

        def findings
          anybody = reach.outside.keys.select { |party| party.around.one? }
          scape.landscape.interfaces.each_value.select(&:open).filter_map do |interface|
            open = anybody.map { |party| reach.between(party, reach.party(interface)).apart }.reduce(Reach::Traffic::NONE, :|)
            told(set.element(interface.owner_id), open - meant(set.element(interface.owner_id)))
          end
        end

        private

        def told(thing, open)
          return if open.empty?

          grave = GRAVE.any? { |port| open.include?(Reach::Traffic.number("tcp", port)) } || Services::STORES.include?(thing["service"])
          why = grave ? GRAVE_WHY : "Nothing that is drawn needs it; what nobody needs is closed."
          Basalt::Checks::Finding.new(id: self.class.id, severity: grave ? :error : :warning, subjects: [thing.id],
                                      message: "Anybody can reach #{thing.name} by #{open}", why:, also: [])
        end
      end
    end
  end
end
