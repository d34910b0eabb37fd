# frozen_string_literal: true

module Basalt
  module Cloud
    module Checks
      # Something is to speak to the internet, or to a service outside its network, and no route leads there.
      class NoWayOut < CloudCheck
        rule "no-way-out", :error, reads: READS

        def findings
          scape.landscape.interfaces.each_value.filter_map do |interface|
            thing = set.element(interface.owner_id)
            subnet = scape.landscape.subnets.fetch(interface.subnet_id)
            line = out_of(thing).find { |one| away?(one.target("to")) }
            told(thing, line, subnet) if line && subnet.table_id && none?(interface)
          end
        end

        private

        # A client reaches in, and is not reached.
        def away?(id)
          to = set.element(id)
          to.kind == Kinds::RESOURCE && scape.interface(id).nil? && to["service"] != "client"
        end

        # By no protocol to any part of what is outside.
        def none?(interface)
          own = reach.party(interface)
          reach.outside.keys.all? { |party| party.version != own.version || reach.path(own, party).empty? }
        end

        def told(thing, line, subnet)
          finding([thing.id, line.id], "#{thing.name} has no way to #{name(line.target("to"))}",
                  "#{name(subnet.table_id)} leads from its subnet to no gateway, and to nothing that translates addresses and has one.")
        end
      end
    end
  end
end
