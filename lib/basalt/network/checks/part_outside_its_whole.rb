# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # A subnet that is said to be part of one whose addresses do not include its own.
      class PartOutsideItsWhole < Basalt::Checks::Check
        rule "part-outside-its-whole", :error, reads: ["subnet"], each: "subnet"

        # What is a part of it is not joined to it, but in it.
        def self.reached(analysis, touched)
          near = super
          near | near.flat_map { |id| analysis.set.elements.ids_by(:container, id).to_a }
        end

        def about(subnet)
          whole = subnet.container_id && set.element(subnet.container_id)
          return [] unless whole&.kind == "subnet" && outside?(subnet, whole)

          [
            finding(
              [subnet.id, whole.id],
              "#{subnet.name} is no part of #{whole.name}",
              "#{plan.prefix(subnet)} does not lie in #{plan.prefix(whole)}; whatever is decided for the whole would not reach it.",
              repair: repair("Take it out of #{whole.name}", Change::Set.new(id: subnet.id, fact: "container", value: nil, was: whole.id))
            )
          ]
        end

        private

        def plan = analysis[Addressing]
        def outside?(subnet, whole) = plan.prefix(subnet) && plan.prefix(whole) && !plan.prefix(whole).contain?(plan.prefix(subnet))
      end
    end
  end
end
