# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # A relationship of many with many that no joining table keeps, where its entities have tables.
      class UnresolvedManyToMany < Basalt::Checks::Check
        rule "unresolved-many-to-many", :warning, reads: %w[relationship table entity convention]

        def findings
          threads = set.of_kind("table").filter_map { |table| table["thread"] }.to_set
          return [] if threads.empty?

          set
            .of_kind("relationship")
            .select { |one| many?(one) && !threads.include?(one.id) && one.targets.all? { |id| threads.include?(id) } }
            .map do |one|
              names = one.targets.map { |id| Noun.of(set, set.element(id)).plural }
              finding(
                [one.id, *one.targets.uniq],
                "Which #{names[0]} go with which #{names[1]} is in no table",
                "There may be many on both sides of “#{one.name}”, and a foreign key holds one. Deriving again adds the table."
              )
            end
        end

        private

        def many?(one) =
          one.ends.all? do |joined|
            Cardinality.read(joined.facts["cardinality"]).then { |how_many| how_many.most.nil? || how_many.most > 1 }
          end
      end
    end
  end
end
