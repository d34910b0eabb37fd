# frozen_string_literal: true

module Basalt
  module Network
    module Notation
      # What the model of a network says of a thing beyond its own facts.
      module Facts
        HEADINGS = { "subnet" => ["used", "free", "next free", "gateway"], "attachment" => %w[short], "device" => ["addresses"] }.freeze

        module_function

        def headings(kind) = HEADINGS.fetch(kind, [])

        # @return [Array<Array(String, Object)>]
        def of(set, element)
          case element.kind
          when "subnet" then subnet(Addressing.around(set, element), element)
          when "attachment" then Addressing.new(set).then { |plan| [["short", plan.shorthand(plan.interface(element))]] }
          when "device" then [["addresses", addresses(set, element)]]
          else []
          end
        end

        # Counted from what is attached here and to subnets that share addresses with it.
        def subnet(plan, subnet)
          return HEADINGS["subnet"].map { |heading| [heading, nil] } unless subnet["prefix"]

          counts = plan.counts(subnet)
          HEADINGS["subnet"].zip([counts[:used], counts[:free], next_free(plan, subnet), gateways(plan, subnet)])
        end

        def next_free(plan, subnet)
          free = plan.next_free(subnet) or return "none"
          Addresses::Shorthand.write(plan.prefix(subnet), free)
        end

        def gateways(plan, subnet)
          own = plan.on(subnet).select(&:gateway?).map { |i| "#{plan.shorthand(i)} #{i.thing.name}" }
          (own + plan.shared_on(subnet).map { |g| "#{g['address']} shared" }).join(", ")
        end

        def addresses(set, device)
          set.relations_of(device.id, "attachment").filter_map { |attachment| attachment["address"] }.join(", ")
        end
      end
    end
  end
end
