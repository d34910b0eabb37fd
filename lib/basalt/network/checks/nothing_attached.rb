# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # A subnet on which nothing stands, and which has no parts on which something could.
      class NothingAttached < Basalt::Checks::Check
        rule "nothing-attached", :warning, reads: %w[attachment subnet]

        def findings
          analysis[Addressing].subnets.select { |subnet| empty?(subnet) }.map do |subnet|
            finding(subnet.id, "Nothing is attached to #{subnet.name}",
                    "Its addresses are set aside for nobody; either something is missing here or the subnet can go.",
                    repair: repair("Strike #{subnet.name} from the model", Change::Remove.new(id: subnet.id)))
          end
        end

        private

        def empty?(subnet)
          analysis[Addressing].on(subnet).empty? && set.contents_of(subnet.id).none? { |part| part.kind == "subnet" }
        end
      end
    end
  end
end
