# frozen_string_literal: true

module Basalt
  module Process
    module Checks
      # Something on a sheet that nothing flows to or from.
      class NotConnected < FlowCheck
        rule "not-connected", :hint, reads: %w[process party store system flow]

        def findings
          drawn
            .flat_map { |sheet| set.things_on(sheet.id) }
            .uniq(&:id)
            .select { |thing| Kinds::ENDS.include?(thing.kind) && set.relations_of(thing.id, "flow").empty? }
            .map do |thing|
              finding(
                thing.id,
                "Nothing flows to or from #{thing.name}",
                "What stands alone on such a sheet tells nobody why it is there."
              )
            end
        end
      end
    end
  end
end
