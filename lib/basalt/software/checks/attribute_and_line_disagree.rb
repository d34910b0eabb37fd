# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # An attribute and a line say the same, and not alike.
      class AttributeAndLineDisagree < Basalt::Checks::Check
        rule "attribute-and-line-disagree",
             :warning,
             reads: %w[class property association aggregation composition],
             each: %w[association aggregation composition],
             near: 2

        def about(line)
          [[line.ends.first, line.ends.last], [line.ends.last, line.ends.first]].flat_map { |here, there| told_twice(here, there) }
        end

        private

        def told_twice(here, there)
          role = there.facts["role"] or return []
          owner = set.element(here.target_id)
          part = Classes::Featuring.attributes(set, owner.id).find { |one| one.kind == "property" && one.name == role } or return []
          wanted = { "type" => set.element(there.target_id).name, "multiplicity" => there.facts["multiplicity"] }
          return [] if wanted.all? { |fact, value| part[fact] == value }

          changes = wanted.map { |fact, value| Change::Set.new(id: part.id, fact:, value:) }
          [
            finding(
              [owner.id, part.id],
              "#{owner.name}.#{role} is #{said(part.facts)} as an attribute and #{said(wanted)} as a line",
              "What is told in two places has to be the same in both.",
              repair: repair("Make the attribute say what the line says", *changes)
            )
          ]
        end

        def said(facts) = [facts["type"] || "of no type", ("[#{facts["multiplicity"]}]" if facts["multiplicity"])].compact.join(" ")
      end
    end
  end
end
