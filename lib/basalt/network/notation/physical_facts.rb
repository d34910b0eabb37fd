# frozen_string_literal: true

module Basalt
  module Network
    module Notation
      # What the cabling says of a unit beyond its own facts.
      module PhysicalFacts
        HEADINGS = { "device" => ["number of ports", "free", "next free"] }.freeze

        module_function

        def headings(kind) = HEADINGS.fetch(kind, [])

        # @return [Array<Array(String, Object)>]
        def of(set, element)
          return [] unless element.kind == "device"

          ports = Cabling::Ports.of(set, element)
          return HEADINGS["device"].map { |heading| [heading, nil] } unless ports.known?

          free = Cabling::FreePorts.new(set, element)
          HEADINGS["device"].zip([ports.count, free.count, free.first&.label || "none"])
        end
      end
    end
  end
end
