# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # A subnet from which no way leads on, though it is not meant to be by itself.
      class NoGateway < Basalt::Checks::Check
        rule "no-gateway", :warning, reads: ["attachment", "subnet", "shared gateway", "device"], each: "subnet", near: 2

        def about(subnet)
          return [] unless wanting?(subnet)

          [
            finding(
              subnet.id,
              "#{subnet.name} has no gateway",
              "What stands on it would not know where to send what is for elsewhere.",
              repair: choose(subnet)
            )
          ]
        end

        private

        def plan = analysis[Addressing]

        def wanting?(subnet)
          return false if subnet["isolated"] || plan.prefix(subnet)&.then { |prefix| prefix.point_to_point? || prefix.single? }

          on = plan.attached(subnet)
          on.any? && on.none?(&:gateway?) && set.relations_of(subnet.id, "shared gateway").empty?
        end

        def choose(subnet)
          candidate =
            plan
              .attached(subnet)
              .select { |i| %w[router firewall].include?(i.thing["role"]) }
              .min_by { |i| i.address ? i.address.number : Float::INFINITY }
          candidate &&
            repair("Make #{candidate.thing.name} its gateway", Change::Set.new(id: candidate.attachment.id, fact: "gateway", value: true))
        end
      end
    end
  end
end
