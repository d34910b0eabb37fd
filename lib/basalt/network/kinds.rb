# frozen_string_literal: true

module Basalt
  module Network
    # What exists in a network.
    module Kinds
      ROLES = [
        "router",
        "switch",
        "firewall",
        "server",
        "storage",
        "workstation",
        "phone",
        "access point",
        "controller",
        "sensor",
        "printer",
        "patch panel",
        "load balancer",
        "modem",
        "ups",
        "power strip",
        "device"
      ].freeze

      # Roles that pass on what is not for themselves.
      FORWARDING = ["router", "switch", "firewall", "access point", "patch panel", "load balancer", "modem"].freeze

      OUTSIDES = %w[internet provider].freeze
      LEVELS = %w[country site building room rack].freeze
      MEDIA = %w[copper fibre radio coax].freeze

      # What can stand at the end of a link or be attached to a subnet.
      JOINED = %w[device outside place].freeze

      def self.field(name, type, **rest) = Model::Field.new(name:, type:, **rest)
      def self.nouns(words, fact) = words.to_h { |word| [word, { fact => word }] }

      ALL = [
        Model::Kind.new(
          name: "device",
          plural: "devices",
          role: "role",
          nouns: nouns(ROLES, "role"),
          containers: ["place"],
          brief: ["role"],
          distinct_by: ["role"],
          fields: [field("role", :choice, choices: ROLES), field("planned", :flag)]
        ),
        Model::Kind.new(
          name: "outside",
          serving: true,
          plural: "outsides",
          role: "role",
          nouns: nouns(OUTSIDES, "role"),
          distinct_by: ["role"],
          default_names: {
            "internet" => "internet"
          },
          fields: [field("role", :choice, choices: OUTSIDES)]
        ),
        Model::Kind.new(
          name: "place",
          serving: true,
          plural: "places",
          role: "level",
          nouns: nouns(LEVELS, "level"),
          containers: ["place"],
          distinct_by: %w[level container],
          fields: [field("level", :choice, choices: LEVELS), field("height", :integer, label: "height in units", range: 1..60)]
        ),
        Model::Kind.new(
          name: "subnet",
          serving: true,
          plural: "subnets",
          nouns: {
            "subnet" => {}
          },
          containers: %w[subnet place],
          brief: %w[prefix vlan],
          fields: [
            field("prefix", :prefix),
            field("vlan", :integer, range: 1..4094),
            field("space", :word, label: "address space"),
            field("isolated", :flag),
            field("planned", :flag)
          ]
        ),
        Model::Kind.new(
          name: "attachment",
          plural: "addresses",
          ends: {
            "thing" => JOINED,
            "subnet" => ["subnet"]
          },
          brief: ["address"],
          fields: [field("address", :address, indexed: true), field("gateway", :flag), field("interface", :word), field("planned", :flag)]
        ),
        Model::Kind.new(
          name: "link",
          plural: "links",
          brief: %w[medium speed circuit],
          end_fields: [field("port", :word)],
          ends: {
            "one" => JOINED,
            "other" => JOINED
          },
          fields: [
            field("circuit", :word),
            field("medium", :choice, choices: MEDIA),
            field("speed", :word),
            field("label", :text),
            field("planned", :flag)
          ]
        ),
        Model::Kind.new(
          name: "shared gateway",
          plural: "shared gateways",
          ends: {
            "subnet" => ["subnet"],
            "member" => ["device"]
          },
          fields: [field("address", :address, indexed: true)]
        ),
        Model::Kind.new(name: "ownership", plural: "ownerships", ends: { "owned" => ["device"], "owner" => ["outside"] })
      ].freeze
    end
  end
end
