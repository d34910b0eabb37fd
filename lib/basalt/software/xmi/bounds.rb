# frozen_string_literal: true

module Basalt
  module Software
    module Xmi
      # A multiplicity as its two bounds (UML 2.5.1, 7.5.3).
      module Bounds
        module_function

        # @param times [Features::Multiplicity, nil]
        def write(xml, id, times)
          return unless times

          xml.lowerValue("xmi:type" => "uml:LiteralInteger", "xmi:id" => "l#{id}", "value" => times.low.to_s)
          xml.upperValue("xmi:type" => "uml:LiteralUnlimitedNatural", "xmi:id" => "u#{id}", "value" => (times.high || "*").to_s)
        end

        # @return [Features::Multiplicity, nil] nil where no bound is told; a bound without a value is 0 or 1 (XMI's default)
        def read(node)
          low, high = %w[lowerValue upperValue].map { |name| node.element_children.find { |one| one.name == name } }
          return unless high || low

          upper = high ? high["value"] || "1" : "1"
          upper = "*" if upper == "-1"
          least = low ? low["value"] || "0" : (upper == "*" ? "0" : "1")
          Features::Multiplicity.of("#{least}..#{upper}")
        end
      end
    end
  end
end
