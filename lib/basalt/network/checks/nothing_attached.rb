# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # A subnet on which nothing stands, and which has no parts on which something could.
      class NothingAttached < Basalt::Checks::Check
        rule "nothing-attached", :warning, reads: %w[attachment subnet], each: "subnet"

        def about(subnet)
          return [] unless empty?(subnet)

          [finding(subnet.id, "Nothing is attached to #{subnet.name}",
                   "Its addresses are set aside for nobody; either something is missing here or the subnet can go.",
                   repair: repair("Strike #{subnet.name} from the model", Change::Remove.new(id: subnet.id)))]
        end

        private

        def empty?(subnet)
          set.relations_of(subnet.id, "attachment").empty? && set.contents_of(subnet.id).none? { |part| part.kind == "subnet" }
        end
      end
    end
  end
end
