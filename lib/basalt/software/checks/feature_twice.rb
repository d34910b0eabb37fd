# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # Two features of a class that cannot be told apart.
      class FeatureTwice < Basalt::Checks::Check
        rule "feature-twice", :error, reads: %w[class property operation literal], each: "class"

        def about(one)
          analysis[Classes::Inheritance].own(one.id).group_by { |part| told_by(part) }.filter_map do |_, parts|
            next if parts.one?

            finding(
              [one.id, *parts.map(&:id)],
              "#{one.name} has #{parts.first.name} #{parts.length == 2 ? "twice" : "#{parts.length} times"}",
              "Attributes of a class differ by name, operations by name and by the types of what they take (UML 2.5.1, 9.4.4).",
              repair: repair("Keep the first #{parts.first.name}", *parts.drop(1).map { |part| Change::Remove.new(id: part.id) })
            )
          end
        end

        private

        def told_by(part) = [part.kind == "operation", Classes::Facts.static?(part), analysis[Classes::Inheritance].signature(part)]
      end
    end
  end
end
