# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # A subnet of addresses that are set aside for something else.
      class ReservedBlock < Basalt::Checks::Check
        rule "reserved-block", :error, reads: ["subnet"], each: "subnet"

        # RFC 6890 (special-purpose addresses), RFC 5771 and RFC 4291 (multicast).
        BLOCKS = {
          "0.0.0.0/8" => "“this network”",
          "127.0.0.0/8" => "loopback",
          "169.254.0.0/16" => "link-local addresses, which things give themselves",
          "224.0.0.0/4" => "multicast",
          "240.0.0.0/4" => "future use",
          "::/127" => "loopback and “no address”",
          "fe80::/10" => "link-local addresses, which things give themselves",
          "ff00::/8" => "multicast"
        }.transform_keys { |text| Addresses.prefix(text) }.freeze

        def about(subnet)
          prefix = analysis[Addressing].prefix(subnet)
          block, purpose = prefix && BLOCKS.find { |reserved, _| reserved.contain?(prefix) }
          return [] unless block

          [
            finding(
              subnet.id,
              "#{subnet.name} takes addresses that are set aside",
              "#{block} is for #{purpose}: no router carries it as a subnet."
            )
          ]
        end
      end
    end
  end
end
