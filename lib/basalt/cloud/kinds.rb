# frozen_string_literal: true

module Basalt
  module Cloud
    # What exists in a cloud: boundaries, resources in them, what joins these, and the rules by which they are reached.
    module Kinds
      BOUNDARY = "cloud boundary"
      RESOURCE = "resource"
      CONNECTION = "connection"
      RULE = "rule"
      ROUTE = "route"
      GOVERNANCE = "governance"
      # What rules may be of, beside an access list: any group of things.
      GROUP = "group"

      LEVELS = %w[account region zone network subnet site boundary].freeze
      NETWORKS = %w[network site].freeze
      # A boundary is in one that stands before it; what has no rank may be in any and hold any.
      RANKS = { "account" => 0, "region" => 1, "network" => 2, "zone" => 2, "site" => 2, "subnet" => 3 }.freeze

      # What may stand at the end of a connection.
      JOINED = [RESOURCE, BOUNDARY].freeze
      HOLDERS = [GROUP, RESOURCE].freeze

      PROTOCOLS = %w[tcp udp icmp].freeze
      PORTS = /\A\d{1,5}(-\d{1,5})?\z/
      # The fact that holds a rule's key of order in its list.
      PLACE = "place"
      ORDER = Systems::ORDER

      def self.field(name, type, **rest) = Model::Field.new(name:, type:, **rest)
      def self.choice(name, choices, **rest) = field(name, :choice, choices:, **rest)
      def self.traffic = [choice("protocol", PROTOCOLS), field("ports", :read, reader: TrafficText.method(:ports))]

      # @return [Boolean] whether one boundary may hold another
      def self.nested?(inner, outer)
        return true unless inner.kind == BOUNDARY

        one, other = RANKS.values_at(inner["level"], outer["level"])
        one.nil? || other.nil? || other < one || [inner["level"], outer["level"]].sort == %w[network zone]
      end

      ALL = [
        Model::Kind.new(
          name: BOUNDARY,
          serving: true,
          plural: "boundaries",
          role: "level",
          trade: "cloud",
          yielding: true,
          nouns: LEVELS.to_h { |level| [level, { "level" => level }] },
          containers: [BOUNDARY],
          outer: method(:nested?),
          distinct_by: %w[level container],
          brief: ["prefixes"],
          fields: [
            choice("level", LEVELS),
            field("prefixes", :read, label: "blocks", reader: Prefixes.method(:normal)),
            field("zone", :text),
            field("details", :read, label: "further facts", internal: true, reader: Details.method(:normal))
          ]
        ),
        Model::Kind.new(
          name: RESOURCE,
          plural: "resources",
          role: "service",
          trade: "cloud",
          yielding: true,
          nouns: Services::ALL.to_h { |service| [service, { "service" => service }] },
          synonyms: Services::SYNONYMS,
          default_names: { Services::INTERNET => Services::INTERNET },
          containers: [BOUNDARY],
          distinct_by: ["service"],
          brief: ["service"],
          fields: [
            choice("service", Services::ALL),
            field("address", :address, indexed: true),
            field("public", :flag),
            field("zone", :text),
            field("details", :read, label: "further facts", internal: true, reader: Details.method(:normal)),
            field("shown", :read, label: "facts in its label", internal: true, reader: ShownFacts.method(:normal))
          ]
        ),
        Model::Kind.new(
          name: CONNECTION,
          plural: "connections",
          ends: { "from" => JOINED, "to" => JOINED },
          brief: %w[verb protocol ports],
          columns: { "end from" => "from", "verb" => "does", "end to" => "to", "protocol" => "protocol", "ports" => "ports",
                     "both" => "both ways" },
          fields: [choice("verb", Verbs::ALL), *traffic, field("both", :flag, label: "both ways"), field("label", :text),
                   field("taken", :flag, internal: true)]
        ),
        Model::Kind.new(
          name: RULE,
          plural: "rules",
          ends: { "holder" => HOLDERS, "peer" => HOLDERS },
          ordered: PLACE,
          columns: { "end holder" => "of", "action" => "does", "direction" => "way", "protocol" => "protocol", "ports" => "ports",
                     "block" => "block", "anybody" => "anybody", "end peer" => "group" },
          fields: [choice("action", Rules::ACTIONS), choice("direction", Rules::DIRECTIONS), *traffic, field("block", :prefix),
                   field("anybody", :flag), field(PLACE, :integer, range: ORDER, internal: true)]
        ),
        Model::Kind.new(
          name: ROUTE,
          plural: "routes",
          ends: { "table" => [RESOURCE], "to" => JOINED },
          columns: { "end table" => "table", "prefix" => "block", "end to" => "to", "nowhere" => "dropped" },
          fields: [field("prefix", :prefix), field("nowhere", :flag)]
        ),
        Model::Kind.new(name: GOVERNANCE, plural: "what governs subnets", ends: { "by" => [RESOURCE], "subnet" => [BOUNDARY] })
      ].freeze
    end
  end
end
