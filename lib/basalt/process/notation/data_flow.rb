# frozen_string_literal: true

module Basalt
  module Process
    module Notation
      # A level of data flow: processes, what is outside of it, stores, and what flows. On a sheet of
      # the band Physical, who or what does a process stands in it.
      class DataFlow < Flows
        def name = "data flow"
        def band = "Logical"
        def things = %w[process party system store]
        def examples = ["process Assess leak", "Caller gives leak report to Assess leak", "store Job book"]
        def chips = [%w[process p], [Kinds::OUTSIDER, "o"], %w[store s]]

        # What is declared on the sheet of a process is within it.
        def within?(kind) = kind == "process"

        def lanes? = true

        def tidy(set, sheet_id, only: nil, quick: false, crowded: []) =
          touched(set, Drawing::LayeredLayout.new(self, set, *part(set, sheet_id, only), quick:, crowded:).placements)
      end
    end
  end
end
