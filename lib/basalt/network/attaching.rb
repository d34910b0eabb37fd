# frozen_string_literal: true

module Basalt
  module Network
    # SystemBoundary on subnets: the sentences +X on S at .20+ and +gateway shared by ...+.
    module Attaching
      module_function

      # @param said [Hash] +thing+, +subnet+, +address+ as typed or nil, +qualities+
      def attach(context, said)
        address = completed(said[:subnet], said[:address])
        interface = interface_of(said)
        attachment = known(context.draft, said[:thing], said[:subnet], interface, address)
        context.set(attachment.id, "address", address) if attachment && said[:address]
        attachment ||= context.add("attachment", facts: { "address" => address }.compact,
                                                 ends: [["thing", said[:thing].id], ["subnet", said[:subnet].id]])
        context.qualify(attachment, said)
        context.show(said[:thing], said[:subnet])
      end

      # One address answered by several on purpose; each of them stands on the subnet.
      def share(context, said)
        subnet = said[:subnet] || common_subnet(context.draft, said[:members])
        address = completed(subnet, said[:address])
        said[:members].uniq.each do |member|
          attach(context, { thing: member, subnet: }) unless known(context.draft, member, subnet, nil, nil)
        end
        old = shared_on(context.draft, subnet, said[:members])
        return context.set(old.id, "address", address) if old

        context.add(
          "shared gateway",
          facts: { "address" => address }.compact,
          ends: [["subnet", subnet.id]] + said[:members].uniq.map { |member| ["member", member.id] }
        )
      end

      def tell(unparser, attachment)
        subnet = unparser.set.element(attachment.target("subnet"))
        spoken = Statements::Grammar.qualities("attachment").flat_map { |quality| quality.tell(unparser, attachment) }
        [
          unparser.say(
            unparser.thing(attachment.target("thing")),
            "is on",
            unparser.thing(subnet.id),
            *(["at #{attachment["address"]}"] if attachment["address"]),
            *spoken.flat_map { |parts| [:comma, *parts] }
          )
        ]
      end

      def tell_shared(unparser, gateway)
        subnet = unparser.set.element(gateway.target("subnet"))
        members = gateway.targets("member").flat_map { |id| [:comma, unparser.thing(id)] }.drop(1)
        address = at(subnet, gateway["address"])
        [unparser.say("gateway shared by", *members, "on", unparser.thing(subnet.id), *(address.empty? ? ["at ?"] : address))]
      end

      def at(subnet, address)
        return [] unless address

        short = subnet["prefix"] ? Addresses.shorthand(subnet["prefix"], address) : address
        ["at #{short}"]
      end

      # @return [String, nil] the whole address; nil for +?+ and for nothing
      def completed(subnet, text)
        return nil if text.nil? || text == "?"
        return Addresses::Shorthand.read(Addresses.prefix(subnet["prefix"]), text).to_s if subnet["prefix"]
        if text.start_with?(".", "::")
          raise Mistake, "#{subnet.name} has no prefix yet, so #{text} cannot be completed: say the whole address"
        end

        Addresses.address(text).to_s
      end

      # Which attachment is meant: that of the interface; without one, that of the address or the only one.
      def known(set, thing, subnet, interface, address)
        found = of(set, thing, subnet)
        named = found.find { |attachment| attachment["interface"] == interface }
        return found.find { |a| address && a["address"] == address } || named || (found.first if found.one?) if interface.nil?

        named || found.find { |a| a["interface"].nil? && (address.nil? || [nil, address].include?(a["address"])) }
      end

      # @return [Array<Model::Element>] attachments of the thing to the subnet
      def of(set, thing, subnet)
        set.relations_between(thing.id, subnet.id, "attachment").select { |a| a.target("thing") == thing.id }
      end

      def interface_of(said)
        said.fetch(:qualities, []).filter_map { |_quality, values| values[:interface] }.first
      end

      def shared_on(set, subnet, members)
        set.relations_of(subnet.id, "shared gateway").find { |g| g.targets("member").sort == members.map(&:id).uniq.sort }
      end

      def common_subnet(set, members)
        common = members.map { |member| set.relations_of(member.id, "attachment").map { |a| a.target("subnet") }.uniq }.reduce(:&)
        return set.element(common.first) if common.one?

        raise Mistake,
              "say on which subnet the gateway is shared, as in “gateway shared by #{members.map(&:name).join(", ")} on NAME at .1”"
      end
    end
  end
end
