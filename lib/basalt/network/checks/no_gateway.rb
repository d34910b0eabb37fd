# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # A subnet from which no way leads on, though it is not meant to be by itself.
      class NoGateway < Basalt::Checks::Check
        rule "no-gateway", :warning, reads: ["attachment", "subnet", "shared gateway", "device"]

        def findings
          plan.subnets.select { |subnet| wanting?(subnet) }.map do |subnet|
            finding(subnet.id, "#{subnet.name} has no gateway",
                    "What stands on it would not know where to send what is for elsewhere.", repair: choose(subnet))
          end
        end

        private

        def plan = analysis[Addressing]

        def wanting?(subnet)
          return false if subnet["isolated"] || plan.prefix(subnet)&.point_to_point?

          plan.on(subnet).any? && plan.on(subnet).none?(&:gateway?) && plan.shared_on(subnet).empty?
        end

        def choose(subnet)
          candidate = plan.on(subnet).select { |i| %w[router firewall].include?(i.thing["role"]) }.min_by { |i| i.address ? i.address.number : Float::INFINITY }
          candidate && repair("Make #{candidate.thing.name} its gateway",
                              Change::Set.new(id: candidate.attachment.id, fact: "gateway", value: true))
        end
      end
    end
  end
end
