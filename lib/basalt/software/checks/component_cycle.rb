# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # Components that need each other.
      class ComponentCycle < Basalt::Checks::Check
        rule "component-cycle", :warning, reads: %w[component port class need provision dependency]

        def findings
          Circles.of(Components::Interfaces.new(set).uses).select { |ids| ids.length > 1 }.map do |ids|
            names = ids.map { |id| set.element(id).name }.sort
            finding(
              ids,
              "#{English.list(names)} need each other in a circle",
              "None of them can be built, tested or replaced without the others."
            )
          end
        end
      end
    end
  end
end
