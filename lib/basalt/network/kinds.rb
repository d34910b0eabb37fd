# frozen_string_literal: true

module Basalt
  module Network
    # What exists in a network.
    module Kinds
      ROLES = Roles::ALL

      # Roles that pass on what is not for themselves.
      FORWARDING = ["router", "switch", "firewall", "access point", "patch panel", "load balancer", "modem"].freeze

      OUTSIDES = %w[internet provider].freeze
      LEVELS = %w[country site building floor room row rack].freeze
      MEDIA = Cabling::Medium::ALL

      # What can stand at the end of a link or be attached to a subnet.
      JOINED = %w[device outside place].freeze

      # Sheets on which it matters where in a rack something stands.
      RACKS = [Notation::Rack::NAME].freeze
      # Sheets on which it matters where on a floor something stands.
      FLOORS = [Notation::FloorPlan::NAME].freeze

      def self.field(name, type, **rest) = Model::Field.new(name:, type:, **rest)
      # What has its columns first, in this order; what is added to the kind comes behind.
      def self.titled(*names, **others) = names.to_h { |name| [name, name] }.merge(others.transform_keys(&:to_s))
      def self.nouns(words, fact) = words.to_h { |word| [word, { fact => word }] }

      # Of what stands on a floor: m from the upper left corner of the room, how large, and how it is turned.
      STANDING = [
        field("position", :read, label: "stands at", reader: Floors::Point.method(:position), on: FLOORS),
        field("extent", :read, label: "measures in m", reader: Floors::Point.method(:extent), on: FLOORS),
        field("turned", :choice, label: "turned by", choices: %w[90 180 270], on: FLOORS)
      ].freeze

      ALL = [
        Model::Kind.new(
          name: "device",
          trade: "network",
          plural: "devices",
          role: "role",
          nouns: nouns(ROLES, "role"),
          containers: ["place"],
          brief: ["role"],
          distinct_by: ["role"],
          columns: titled("name", "role", "planned", "note", "container" => "in", "assumed" => "assumed"),
          fields: [
            field("role", :choice, choices: ROLES),
            field("members", :integer, range: 1..32, along: Cabling::Relabelling.method(:unit)),
            field("slots", :integer, range: 1..99, along: Cabling::Cards.method(:fewer_slots)),
            field("ports", :read, reader: Cabling::PortGroups.method(:normal)),
            field("planned", :flag),
            field("at unit", :integer, label: "at U", range: 1..60, on: RACKS),
            field("height", :integer, label: "height in units", range: 1..60, on: RACKS),
            field("rear", :flag, label: "at the rear", on: RACKS),
            field("half depth", :flag, on: RACKS),
            field("half", :choice, label: "half width", choices: %w[left right], on: RACKS),
            field("power", :integer, label: "power in W", range: 0..100_000, on: RACKS),
            field("weight", :integer, label: "weight in kg", range: 0..5000, on: RACKS),
            *STANDING
          ]
        ),
        Model::Kind.new(
          name: "outside",
          trade: "network",
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
          trade: "network",
          serving: true,
          plural: "places",
          role: "level",
          nouns: nouns(LEVELS, "level"),
          containers: ["place"],
          # A rack holds things, and no places.
          outer: ->(_place, container) { container["level"] != "rack" },
          distinct_by: %w[level container],
          fields: [field("level", :choice, choices: LEVELS), field("height", :integer, label: "height in units", range: 1..60),
                   field("supply", :integer, label: "supply in W", range: 0..1_000_000, on: RACKS),
                   field("load", :integer, label: "load in kg", range: 0..100_000, on: RACKS),
                   field("row", :integer, internal: true), *STANDING]
        ),
        Model::Kind.new(
          name: "subnet",
          trade: "network",
          serving: true,
          plural: "subnets",
          nouns: {
            "subnet" => {}
          },
          containers: %w[subnet place],
          brief: %w[prefix vlan],
          fields: [
            field("prefix", :prefix),
            field("vlan", :integer, range: 1..4094, indexed: true),
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
          columns:
            titled(
              "end one" => "one",
              "port of one" => "one port",
              "end other" => "other",
              "port of other" => "other port",
              **titled("circuit", "medium", "speed", "label", "planned", "note", "assumed")
            ),
          end_fields: [
            field("port", :word),
            field("vlan", :integer, range: Cabling::Vlans::RANGE),
            field("tagged", :read, reader: Cabling::Vlans.method(:normal), label: "tagged VLANs")
          ],
          ends: {
            "one" => JOINED,
            "other" => JOINED
          },
          fields: [
            field("circuit", :word),
            field("medium", :choice, choices: MEDIA),
            field("speed", :word),
            field("length", :integer, label: "length in m", range: 1..200_000),
            field("estimate", :integer, label: "estimated length in m", range: 1..200_000, on: [*FLOORS, "physical network"]),
            field("label", :text),
            field("bundle", :word),
            field("planned", :flag),
            field("laid", :flag)
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
        Model::Kind.new(
          name: Cabling::Models::KIND,
          plural: "models",
          nouns: {
            Cabling::Models::KIND => {}
          },
          fields: [
            field("members", :integer, range: 1..32, along: Cabling::Relabelling.method(:unit)),
            field("slots", :integer, range: 1..99, along: Cabling::Cards.method(:fewer_slots)),
            field("ports", :read, reader: Cabling::PortGroups.method(:normal))
          ]
        ),
        Model::Kind.new(
          name: Cabling::Models::RELATION,
          plural: "models of units",
          end_fields: [field("slot", :integer, range: 0..99)],
          ends: {
            "unit" => ["device"],
            "model" => [Cabling::Models::KIND]
          }
        ),
        Model::Kind.new(
          name: Cabling::Rules::KIND,
          plural: "rules of cabling",
          nouns: {
            Cabling::Rules::KIND => {}
          },
          default_names: {
            Cabling::Rules::KIND => Cabling::Rules::KIND
          },
          fields: Cabling::Rules::FIELDS
        ),
        Model::Kind.new(
          name: "tray",
          plural: "trays",
          nouns: {
            "tray" => {}
          },
          containers: ["place"],
          distinct_by: ["container"],
          brief: ["along"],
          fields: [
            field("along", :read, reader: Floors::Point.method(:path)),
            field("level", :integer, label: "height in cm", range: 0..2000)
          ]
        ),
        Model::Kind.new(name: "ownership", plural: "ownerships", ends: { "owned" => ["device"], "owner" => ["outside"] })
      ].freeze
    end
  end
end
