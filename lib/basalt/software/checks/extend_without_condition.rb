# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # An extension that does not say when.
      class ExtendWithoutCondition < Basalt::Checks::Check
        rule "extend-without-condition", :hint, reads: ["extension", "use case"], each: "extension"

        def about(extension)
          return [] if extension["condition"]

          one, other = extension.endpoints.map { |id| set.element(id).name }
          [
            finding(
              extension.id,
              "#{one} extends #{other}, and it is not said when",
              "Without a condition it always does, and then #{other} includes it (UML 2.5.1, 18.1.3)."
            )
          ]
        end
      end
    end
  end
end
