# frozen_string_literal: true

module Basalt
  module Software
    module Components
      # Who provides which interface, and who requires it.
      class Interfaces
        # @param set [Model::WorkingSet, Change::Draft]
        def initialize(set)
          @set = set
        end

        # @return [Array<Model::Element>] components
        def providers(interface_id) = at(interface_id, "provision")
        def requirers(interface_id) = at(interface_id, "need")

        # @return [Array<Array(String, String)>] ids of components: who needs and whom, by interfaces and by dependencies
        def uses
          by_interface =
            @set.of_kind("need").flat_map do |need|
              user = owner(need.target("component"))
              providers(need.target("interface")).map { |other| [user.id, other.id] }
            end
          (by_interface + dependencies).uniq
        end

        # @return [Model::Element] the component that an end is, or is a port of
        def owner(id) = @set.element(id).then { |one| one.owner_id ? @set.element(one.owner_id) : one }

        private

        def at(interface_id, kind) =
          @set
            .relations_of(interface_id, kind)
            .select { |one| one.target("interface") == interface_id }
            .map { |one| owner(one.target("component")) }
            .uniq(&:id)

        def dependencies
          @set.of_kind("dependency").filter_map do |one|
            ends = one.endpoints.map { |id| owner(id) }
            ends.map(&:id) if ends.all? { |end_| end_.kind == "component" }
          end
        end
      end
    end
  end
end
