# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # A gateway that keeps what it is given.
      class GatewayDoesNotForward < Basalt::Checks::Check
        rule "gateway-does-not-forward", :error, reads: ["attachment", "device", "shared gateway", "subnet"],
                                                 each: ["attachment", "shared gateway"]
        FORWARDING = ["router", "firewall", "switch", "load balancer", "modem", "access point"].freeze

        def about(element)
          return shared(element) if element.kind == "shared gateway"

          thing = set.element(element.target("thing"))
          return [] unless element["gateway"] && stuck?(thing)

          [stuck(element, thing, repair("Let it be no gateway", Change::Set.new(id: element.id, fact: "gateway", value: nil, was: true)))]
        end

        private

        def stuck?(thing) = thing&.kind == "device" && !FORWARDING.include?(thing["role"])

        def shared(gateway)
          gateway.targets("member").map { |id| set.element(id) }.select { |one| stuck?(one) }.map { |one| stuck(gateway, one) }
        end

        def stuck(element, thing, repair = nil)
          finding(
            [element.id, thing.id],
            "#{thing.name} is a gateway of #{set.element(element.target("subnet")).name} and does not forward",
            "#{English.article(thing.noun).capitalize} #{thing.noun} keeps what it is sent; what is for elsewhere gets no further.",
            repair:
          )
        end
      end
    end
  end
end
