# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # One table as it should be, brought together with the one that stands.
      class TableMerge
        include MergeSteps

        # @param wanted [Table]
        # @param known [Model::Element, nil] the table that was derived from the same before
        def initialize(set, wanted, known, sheet_id)
          @set = set
          @wanted = wanted
          @known = known
          @sheet_id = sheet_id
        end

        # @return [Array<Change::Step>] for the table and its columns
        def steps
          return [adding] unless @known

          [*renaming, *column_steps, *dropped(Tabling.columns(@set, @known.id), @wanted.columns, "column"), *check_steps, *explaining]
        end

        # @return [Array<Change::Step>] for what joins columns, once they are there
        def joining_steps = JoiningMerge.new(@set, @wanted, @known).steps

        private

        def adding
          step(:add, "table", "table #{@wanted.name} with #{English.count(@wanted.columns.length, "column")}", why:) do |draft|
            table =
              put(
                draft,
                Change::Add.new(kind: "table", name: free(draft, @wanted.name), facts: { "thread" => @wanted.thread, "why" => why })
              )
            @wanted.columns.each { |column| add_column(draft, table.id, column) }
            @wanted.checks.each { |check| add_check(draft, table.id, check) }
            Change::Show.new(sheet_id: @sheet_id, element_id: table.id).apply(draft) if @sheet_id
          end
        end

        # The name that a table would have may be taken by one that somebody made.
        def free(draft, name)
          taken = ->(candidate) { draft.named(candidate, "table").any? }
          taken.call(name) ? Model::Names.following("#{name}_2", &taken) : name
        end

        def why = @wanted.why.join(" ")[0, 1900]

        def add_column(draft, table_id, column)
          put(
            draft,
            Change::Add.new(kind: "column", name: column.name, owner_id: table_id, facts: { "thread" => column.thread, **facts(column) })
          )
        end

        def facts(column) =
          {
            "type" => column.type,
            "key" => column.key,
            "required" => column.required,
            "default" => column.default,
            "generated" => column.generated
          }

        def add_check(draft, table_id, check) =
          put(
            draft,
            Change::Add.new(kind: "check", owner_id: table_id, facts: { "thread" => check.thread, "expression" => check.expression })
          )

        def renaming = FactMerge.new(@wanted).steps(@known, { "name" => @wanted.name }, "table #{@known.name}", "name")

        def explaining
          return [] if @known["why"] == why

          [step(:alter, "why", "table #{@known.name}: what was done is told anew") { |draft| set(draft, @known.id, "why", why) }]
        end

        def column_steps
          known = Tabling.columns(@set, @known.id).to_h { |column| [column["thread"], column] }
          @wanted.columns.flat_map do |column|
            old = known[column.thread]
            next FactMerge.new(@wanted).steps(old, { "name" => column.name, **facts(column) }, "column #{@known.name}.#{old.name}",
                                              column.thread) if old

            [
              step(:add, column.thread, "column #{@known.name}.#{column.name} #{column.type}") do |draft|
                add_column(draft, @known.id, column) if draft.element(@known.id)
              end
            ]
          end
        end

        def check_steps
          known = Tabling.checks(@set, @known.id)
          fresh =
            @wanted.checks.reject do |check|
              known.any? do |one|
                one["thread"] == check.thread && Refinement.derived(one)["expression"] == check.expression.gsub("|", "¦")
              end
            end
          fresh.map do |check|
            step(:alter, check.thread, "check of #{@known.name}: #{check.expression}") do |draft|
              known.select { |one| one["thread"] == check.thread }.each { |one| draft.apply(Change::Remove.new(id: one.id)) }
              add_check(draft, @known.id, check)
            end
          end + dropped(known, @wanted.checks, "check")
        end
      end
    end
  end
end
