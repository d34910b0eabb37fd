# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # A private feature in a class that does nothing: nobody can reach it.
      class PrivateNeverReached < Basalt::Checks::Check
        rule "private-never-reached", :hint, reads: %w[class property operation], each: "class"

        def about(one)
          parts = Classes::Featuring.of(set, one.id)
          return [] if parts.any? { |part| part.kind == "operation" && part["visibility"] != "-" }

          parts.select { |part| part["visibility"] == "-" }.map do |part|
            finding(
              [one.id, part.id],
              "Nothing can reach #{one.name}.#{part.name}",
              "It is private, and #{one.name} has no operation that others could ask for.",
              repair: repair("Make it public", Change::Set.new(id: part.id, fact: "visibility", value: "+"))
            )
          end
        end
      end
    end
  end
end
