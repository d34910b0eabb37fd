# frozen_string_literal: true

require "json"

module Basalt
  module Cloud
    module Tosca
      # A service template, read as an inventory: networks are boundaries, ports tell where a node is, requirements that connect are
      # connections.
      class Reader
        PROTOCOLS = Kinds::PROTOCOLS
        private_constant :PROTOCOLS

        # @param bytes [String]
        # @param name [String] what the account is called
        # @raise [Inventory::Unreadable]
        def initialize(bytes, name = "TOSCA")
          @yaml = PlainYaml.read(bytes)
          version = @yaml["tosca_definitions_version"]
          refuse("/tosca_definitions_version", "it is #{version.inspect}, and #{Types::VERSION} is read here") unless version == Types::VERSION
          @name = text(@yaml.dig("metadata", "template_name")) || name
          @templates = map("/topology_template/node_templates", topology.fetch("node_templates", {}))
          @left = []
          split
        end

        # @return [Array<String>] what of it is not modelled
        attr_reader :left

        # @return [Inventory::Reader]
        def inventory = Inventory::Reader.new(JSON.generate(document))

        # @return [Hash] (see Inventory::Reader)
        def document
          @document ||= {
            "format" => Inventory::Reader::FORMAT, "version" => Inventory::Reader::VERSION, "account" => { "id" => @name, "name" => @name },
            "boundaries" => @networks.map { |id, one| boundary(id, one) } + @frames.map { |id, one| frame(id, one) },
            "resources" => resources, "tables" => papers(Services::TABLE), "lists" => papers(Services::LIST), "connections" => connections
          }
        end

        private

        def topology = map("/topology_template", @yaml.fetch("topology_template", {}))

        def split
          @templates.each { |id, one| map("/topology_template/node_templates/#{id}", one) }
          @ports, rest = @templates.partition { |_, one| Types.port?(one["type"]) }
          @networks, rest = rest.partition { |_, one| Types.network?(one["type"]) }
          @frames, @nodes = rest.partition { |_, one| about(one)["level"] }
          @standing = @ports.to_h { |id, one| port(id, one) }
        end

        def about(one) = one["metadata"].is_a?(Hash) ? one["metadata"] : {}
        def properties(one) = one["properties"].is_a?(Hash) ? one["properties"] : {}

        # @return [Array(String, Hash)] the node, and where it is
        def port(id, one)
          at = requirements(id, one)
          node = at.assoc("binding")&.last&.first or refuse(place(id), "it says no binding")
          [node, { "in" => at.assoc("link")&.last&.first, "address" => text(properties(one)["ip_address"]) }]
        end

        def boundary(id, one)
          level = about(one).fetch("level", "subnet")
          { "id" => id, "level" => level,
            "name" => text(about(one)["name"]) || text(properties(one)["network_name"]) || id, "in" => text(about(one)["in"]),
            "zone" => text(about(one)["zone"]), "blocks" => text(properties(one)["cidr"]).to_s.split(/\s*,\s*|\s+and\s+/) }.compact
        end

        def frame(id, one)
          { "id" => id, "level" => about(one)["level"], "name" => text(about(one)["name"]) || id, "in" => text(about(one)["in"]) }.compact
        end

        def resources
          plain = @nodes.reject { |_, one| Services::PAPERS.include?(about(one)["service"]) }
          plain.map { |id, one| resource(id, one) }
        end

        def resource(id, one)
          at = @standing.fetch(id, {})
          { "id" => id, "service" => service(id, one), "name" => text(about(one)["name"]) || id, "in" => at["in"] || text(about(one)["in"]),
            "address" => at["address"], "zone" => text(about(one)["zone"]), "public" => (true if about(one)["public"].to_s == "true"),
            "facts" => facts(one) }.compact
        end

        def papers(service) =
          @nodes.select { |_, one| about(one)["service"] == service }
            .map { |id, one| { "id" => id, "name" => text(about(one)["name"]) || id } }

        def service(id, one)
          said = text(about(one)["service"])
          return said if said

          Types::KNOWN.fetch(one["type"]) do
            @left << "#{id}: #{one["type"]} is taken for a machine"
            "machine"
          end
        end

        # Plain properties are facts; of the others it is told that they stay behind.
        def facts(one)
          plain, others = properties(one).partition { |_, value| !value.is_a?(Enumerable) && !value.nil? }
          @left.concat(others.map { |name, _| "property #{name}" })
          plain.to_h { |name, value| [name, value.to_s] }
        end

        def connections
          (@nodes + @networks + @frames).flat_map do |id, one|
            requirements(id, one).filter_map { |name, (target, relation)| connection(id, name, target, relation) }
          end
        end

        def connection(id, name, target, relation)
          template = relation.is_a?(String) ? relation(relation) : relation
          template = {} unless template.is_a?(Hash)
          unless Types.connects?(template["type"] || (relation if relation.is_a?(String) && relation.include?(".")))
            @left << "#{id}: #{name} to #{target}"
            return
          end
          said = about(template)
          protocol = text(said["protocol"])
          { "from" => id, "to" => target, "does" => text(said["does"]), "ports" => text(said["ports"]),
            "protocol" => (protocol if PROTOCOLS.include?(protocol)),
            "both ways" => (true if said["both ways"].to_s == "true") }.compact
        end

        def relation(name) = topology.fetch("relationship_templates", {}).then { |all| all.is_a?(Hash) ? all[name] : nil }

        # @return [Array<Array(String, Array)>] name of the requirement, node and relationship
        def requirements(id, one)
          list = one.fetch("requirements", [])
          refuse("#{place(id)}/requirements", "it is not a list") unless list.is_a?(Array)
          list.each_with_index.map do |entry, index|
            single = entry.is_a?(Hash) && entry.length == 1
            refuse("#{place(id)}/requirements/#{index}", "it is not one name with what it needs") unless single

            name, value = entry.first
            node, relation = value.is_a?(Hash) ? value.values_at("node", "relationship") : [value, nil]
            known(id, index, node)
            [name, [node, relation]]
          end
        end

        def known(id, index, node)
          return if @templates.key?(node)

          refuse("#{place(id)}/requirements/#{index}", "#{node.inspect[0, 60]} is nowhere in it")
        end

        def place(id) = "/topology_template/node_templates/#{id}"
        def map(place, value) = value.is_a?(Hash) ? value : refuse(place, "it is not a map")
        def text(value) = value.nil? || value.is_a?(Enumerable) ? nil : value.to_s
        def refuse(place, words) = raise(Inventory::Unreadable.new(place, words))
      end
    end
  end
end
