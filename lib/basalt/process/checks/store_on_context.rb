# frozen_string_literal: true

module Basalt
  module Process
    module Checks
      # A store on a context sheet.
      class StoreOnContext < FlowCheck
        rule "store-on-context", :warning, reads: %w[store sheet], each: "store"

        def about(store) = sheets("context").select { |sheet| set.shown?(sheet.id, store.id) }.map { |sheet| found(sheet, store) }

        private

        def found(sheet, store)
          finding(
            store.id,
            "#{store.name} stands on the context",
            "Stores are within; the context shows the one process and what is around it.",
            repair: repair("Take it off the sheet", Change::TakeOff.new(sheet_id: sheet.id, element_id: store.id))
          )
        end
      end
    end
  end
end
