# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # A column of a derived table that comes from nothing the entities say.
      class ColumnInNoEntity < Basalt::Checks::Check
        rule "column-in-no-entity", :hint, reads: %w[column table attribute entity]

        def findings
          set
            .of_kind("column")
            .reject { |one| one["thread"] || set.element(one.owner_id)["thread"].nil? }
            .map do |one|
              table = set.element(one.owner_id)
              source = Threads.source(set, table)
              mend = unsaid?(one, source) ? repair("Add it to #{source.name}", *adding(one, source)) : nil
              finding(table.id, "#{table.name}.#{one.name} is in no entity", "Whoever confirmed the entities never saw it.", repair: mend)
            end
        end

        private

        def words(column) = column.name.tr("_", " ")

        def unsaid?(column, source)
          %w[entity meeting].include?(source&.kind) && Describing.of(set, source.id).none? { |attribute| attribute.name == words(column) }
        end

        def adding(column, source)
          id = SecureRandom.uuid
          facts = {
            "required" => column["required"],
            "derived" => column["generated"] ? true : nil,
            "rule" => column["generated"]
          }.compact
          [
            Change::Add.new(kind: "attribute", name: words(column), owner_id: source.id, id:, facts:),
            Change::Set.new(id: column.id, fact: "thread", value: id),
            Change::Set.new(id: column.id, fact: "as_derived", value: Refinement.plain(set, column))
          ]
        end
      end
    end
  end
end
