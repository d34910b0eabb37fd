# frozen_string_literal: true

module Basalt
  module Cloud
    module Tosca
      # Types of the TOSCA Simple Profile in YAML 1.3 (OASIS, 2020, sections 5.9 and 8.5) for what a cloud has. What has no type there
      # is a Root, and its metadata says what it is.
      module Types
        VERSION = "tosca_simple_yaml_1_3"
        NETWORK = "tosca.nodes.network.Network"
        PORT = "tosca.nodes.network.Port"
        ROOT = "tosca.nodes.Root"
        CONNECTS = "tosca.relationships.ConnectsTo"

        SERVICES = {
          "machine" => "tosca.nodes.Compute",
          "machine group" => "tosca.nodes.Compute",
          "container service" => "tosca.nodes.Container.Runtime",
          "load balancer" => "tosca.nodes.LoadBalancer",
          "object store" => "tosca.nodes.Storage.ObjectStorage",
          "file store" => "tosca.nodes.Storage.BlockStorage",
          "relational store" => "tosca.nodes.Database",
          "function" => "tosca.nodes.SoftwareComponent",
          "API front" => "tosca.nodes.WebServer"
        }.freeze

        # Read where no metadata says more; further types of the profile, also by their short names (section 5.1).
        KNOWN = SERVICES.invert.merge(
          "tosca.nodes.Compute" => "machine", "tosca.nodes.DBMS" => "relational store", "tosca.nodes.WebApplication" => "function",
          "tosca.nodes.Container.Application" => "container service", "tosca.nodes.Abstract.Compute" => "machine",
          "tosca.nodes.Abstract.Storage" => "file store"
        ).then { |types| types.merge(types.transform_keys { |type| type.delete_prefix("tosca.nodes.") }) }.freeze

        module_function

        def of(service) = SERVICES.fetch(service, ROOT)

        # @return [Boolean]
        def network?(type) = [NETWORK, "tosca:Network", "Network"].include?(type)
        def port?(type) = [PORT, "tosca:Port", "Port"].include?(type)
        def connects?(type) = type.nil? || [CONNECTS, "ConnectsTo", "tosca:ConnectsTo"].include?(type)
      end
    end
  end
end
