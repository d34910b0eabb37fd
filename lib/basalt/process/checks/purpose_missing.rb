# frozen_string_literal: true

module Basalt
  module Process
    module Checks
      # A process that a context is about, of which nobody said what it is for.
      class PurposeMissing < FlowCheck
        rule "purpose-missing", :hint, reads: %w[process system sheet], each: %w[process system]

        def about(element)
          return [] if element["purpose"] || set.sheets_about(element.id).none? { |sheet| sheet.notation_name == "context" }

          [
            finding(
              element.id,
              "Nobody said what #{element.name} is for",
              "What belongs to it, and what does not, is decided by its purpose."
            )
          ]
        end
      end
    end
  end
end
