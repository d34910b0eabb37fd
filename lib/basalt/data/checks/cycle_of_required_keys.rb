# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # Tables that each need a row of the next: no first row can be written.
      class CycleOfRequiredKeys < Basalt::Checks::Check
        rule "cycle-of-required-keys", :error, reads: %w[reference column]

        def findings
          needs = set.of_kind("reference").select { |one| required?(one) && one.target("from") != one.target("to") }
          found = []
          needs.each do |one|
            circle(one, needs)&.then { |path| found << path if found.none? { |known| known.map(&:id).sort == path.map(&:id).sort } }
          end
          found.map { |path| told(path) }
        end

        private

        def required?(reference) =
          reference
            .targets("column")
            .then { |ids| ids.any? && ids.all? { |id| set.element(id).then { |column| column["required"] || column["key"] } } }

        def circle(start, needs, path = [start])
          return path if path.last.target("to") == start.target("from")

          needs
            .select { |one| one.target("from") == path.last.target("to") && !path.include?(one) }
            .each do |one|
              found = circle(start, needs, path + [one])
              return found if found
            end
          nil
        end

        def told(path)
          tables = path.map { |one| one.target("from") }
          finding(
            tables,
            "#{English.list(tables.map { |id| set.element(id).name })} each need a row of the next",
            "No row can be the first, unless the check waits for the end of the transaction.",
            repair: mend(path)
          )
        end

        # A reference that is no part of a key may be empty.
        def mend(path)
          loose = path.find { |one| one.targets("column").none? { |id| set.element(id)["key"] } } or return
          from, to = %w[from to].map { |role| set.element(loose.target(role)).name }
          repair("Let #{from} be without #{to}", *loose.targets("column").map { |id| Change::Set.new(id:, fact: "required", value: nil) })
        end
      end
    end
  end
end
