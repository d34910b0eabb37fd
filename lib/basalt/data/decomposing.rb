# frozen_string_literal: true

module Basalt
  module Data
    # A table is split into tables of the third normal form: the one with its key keeps its name, each of the others is keyed by what
    # determines its columns and is referred to.
    Decomposing =
      Value.of(:id) do
        def apply(draft)
          table = draft.element(id) or raise Refusals::Gone, "the table"
          relations = Determining.forms(draft, table).synthesis
          whole = kept(draft, table, relations)
          others = relations - [whole]
          raise Mistake, "#{table.name} has the third normal form already" if others.empty?

          made = others.map { |one| make(draft, table, one) }
          strike(draft, table, whole)
          made.zip(others) { |fresh, one| refer(draft, table, fresh, one) }
          table
        end

        private

        # @return [Logical::NormalForms::Relation] what stays in the table: that with its key, or the largest
        def kept(draft, table, relations)
          key = Tabling.key_columns(draft, table.id).map(&:name).to_set
          with_key = relations.select { |one| !key.empty? && key.subset?(one.columns) }
          (with_key.empty? ? relations : with_key).max_by { |one| one.columns.length }
        end

        # What is made stands on every sheet that the table stands on.
        def show(draft, table, fresh)
          draft.sheets_of(table.id).each { |sheet_id| Statements::Context.new(draft, sheet_id:).show(fresh) }
        end

        def make(draft, table, one)
          context = Statements::Context.new(draft)
          fresh = context.add("table", name: name(draft, table, one))
          Tabling.columns(draft, table.id).select { |column| one.columns.include?(column.name) }.each do |column|
            facts = column.facts.except("key", "key_place", "thread", "as_derived", "generated", "sequence", "numbering")
            context.add("column", name: column.name, owner_id: fresh.id, facts: facts.merge("required" => true).compact)
          end
          Tabling.key(context, fresh, one.key.to_a)
          show(draft, table, fresh)
          fresh
        end

        # Called by what determines its columns: district_id gives districts.
        def name(draft, table, one)
          schema, local = SQLName.parts(table.name)
          stem = one.key.one? ? one.key.first.sub(/_(?:id|code|number)\z/, "") : "#{local}_#{one.key.to_a.join("_")}"
          wanted = SQLName.of(schema, English.plural(stem))
          taken?(draft, wanted) ? SQLName.of(schema, "#{local}_#{English.plural(stem)}") : wanted
        end

        def taken?(draft, name) = draft.named(name, "table").any?

        def strike(draft, table, whole)
          Tabling.columns(draft, table.id).reject { |column| whole.columns.include?(column.name) }
            .each { |column| draft.apply(Change::Remove.new(id: column.id)) }
        end

        def refer(draft, table, fresh, one)
          return unless one.key.all? { |name| Tabling.column(draft, table.id, name) }

          Tabling.refer(Statements::Context.new(draft), draft.element(table.id), one.key.to_a, fresh, one.key.to_a)
        end
      end
  end
end
