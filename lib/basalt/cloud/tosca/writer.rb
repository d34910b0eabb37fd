# frozen_string_literal: true

require "psych"

module Basalt
  module Cloud
    module Tosca
      # A cloud as a service template: nodes, networks, ports and relationships. Rules of groups and lists, and routes, have no place in the
      # profile and stay behind.
      class Writer
        # @param set [Model::WorkingSet, Model::PinnedSet, Change::Draft]
        # @param name [String]
        def initialize(set, name)
          @set = set
          @name = name
          @keys = {}
        end

        # @return [String]
        def yaml = Psych.dump(document, line_width: -1).delete_prefix("---\n")

        # @return [Array<String>] what was left out
        def left
          { Kinds::RULE => "rule", Kinds::ROUTE => "route" }.filter_map do |kind, word|
            count = @set.of_kind(kind).length
            "#{English.count(count, word)} left out: the profile has none" if count.positive?
          end
        end

        # @return [Hash]
        def document
          { "tosca_definitions_version" => Types::VERSION, "metadata" => { "template_name" => @name },
            "topology_template" => { "node_templates" => nodes, "relationship_templates" => relationships } }
        end

        private

        def nodes
          things = @set.of_kind(Kinds::BOUNDARY, Kinds::RESOURCE)
          things.to_h { |one| [key(one.id), one.kind == Kinds::BOUNDARY ? boundary(one) : resource(one)] }.merge(ports)
        end

        # A name that another has is told apart by a number.
        def key(id)
          @keys[id] ||= begin
            plain = @set.element(id).name.to_s
            taken = @keys.values.to_set
            taken.include?(plain) ? Model::Names.following(plain) { |name| taken.include?(name) } : plain
          end
        end

        def metadata(one, **said) =
          { "name" => one.name, "in" => one.container_id && key(one.container_id), "zone" => one["zone"],
            **said.transform_keys(&:to_s) }.compact.transform_values(&:to_s)

        def boundary(one)
          network = one["prefixes"] || %w[network subnet].include?(one["level"])
          { "type" => network ? Types::NETWORK : Types::ROOT, "metadata" => metadata(one, level: one["level"]),
            "properties" => (network_facts(one) if network),
            "requirements" => requirements(one) }.compact
        end

        def network_facts(one) =
          { "network_name" => one.name, "cidr" => Prefixes.read(one["prefixes"]).join(", ") }.reject { |_, value| value.empty? }

        def resource(one)
          facts = Details.read(one["details"])
          { "type" => Types.of(one["service"]), "metadata" => metadata(one, service: one["service"], public: one["public"]),
            "properties" => (facts unless facts.empty?), "requirements" => requirements(one) }.compact
        end

        # What has an address has a port that is linked to its subnet.
        def ports
          @set.of_kind(Kinds::RESOURCE).select { |one| one["address"] && one.container_id }.to_h do |one|
            ["#{key(one.id)} port", { "type" => Types::PORT, "properties" => { "ip_address" => one["address"] },
                                      "requirements" => [{ "binding" => key(one.id) }, { "link" => key(one.container_id) }] }]
          end
        end

        def lines(one) = @set.relations_of(one.id, Kinds::CONNECTION).select { |line| line.target("from") == one.id && line["taken"].nil? }

        def requirements(one)
          found = lines(one).map { |line| { "connection" => { "node" => key(line.target("to")), "relationship" => label(line) } } }
          found unless found.empty?
        end

        def relationships
          @set.of_kind(Kinds::CONNECTION).reject { |line| line["taken"] }.to_h do |line|
            said = { "does" => line["verb"], "protocol" => line["protocol"], "ports" => line["ports"], "both ways" => line["both"] }.compact
            [label(line), { "type" => Types::CONNECTS, "metadata" => said.transform_values(&:to_s) }]
          end
        end

        def label(line) = (@labels ||= {})[line.id] ||= "connection #{@labels.length + 1}"
      end
    end
  end
end
