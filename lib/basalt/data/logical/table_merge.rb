# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # One table as it should be, brought together with the one that stands.
      class TableMerge
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
        def joining_steps
          known =
            @known ? Tabling.references(@set, @known.id) + Tabling.constraints(@set, @known.id) + Tabling.minimums(@set, @known.id) : []
          wanted = @wanted.references + @wanted.uniques + @wanted.minimums
          wanted
            .reject { |one| known.any? { |other| same?(other, one) } }
            .map { |one| joining(one, known.find { |other| other["thread"] == one.thread }) } + dropped(known, wanted, "constraint")
        end

        private

        def step(act, key, words, why: nil, &change) =
          Change::Step.new(act:, key: "#{act} #{@wanted.thread} #{key}", words:, change:, why:)

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
          taken = ->(candidate) { draft.named(candidate).any? { |other| other.kind == "table" } }
          taken.call(name) ? Model::Names.following("#{name}_2", &taken) : name
        end

        def why = @wanted.why.join(" ")[0, 1900]

        # What was just put, with how it was derived.
        def put(draft, change)
          element = change.apply(draft)
          draft.apply(Change::Set.new(id: element.id, fact: "as_derived", value: Refinement.plain(draft, element)))
          draft.element(element.id)
        end

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

        def renaming = merged(@known, { "name" => @wanted.name }, "table #{@known.name}", "name")

        def explaining
          return [] if @known["why"] == why

          [step(:alter, "why", "table #{@known.name}: what was done is told anew") { |draft| set(draft, @known.id, "why", why) }]
        end

        def column_steps
          known = Tabling.columns(@set, @known.id).to_h { |column| [column["thread"], column] }
          @wanted.columns.flat_map do |column|
            old = known[column.thread]
            next merged(old, { "name" => column.name, **facts(column) }, "column #{@known.name}.#{old.name}", column.thread) if old

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

        # Three ways: what stands, how it was derived, how it is derived now. What a person
        # altered stands; what only the source altered follows.
        def merged(element, wanted, title, key)
          wanted = wanted.transform_values { |value| value == false ? nil : value }
          last = Refinement.derived(element).slice(*wanted.keys)
          moved = wanted.reject { |fact, value| last[fact].to_s == value.to_s }
          return [] if moved.empty?

          kept, follow =
            moved
              .partition { |fact, value| current(element, fact).to_s != last[fact].to_s && current(element, fact).to_s != value.to_s }
              .map(&:to_h)
          [*following(element, follow, wanted, title, key), *keeping(element, kept, title, key)]
        end

        def current(element, fact) = fact == "name" ? element.name : element[fact]

        def following(element, follow, wanted, title, key)
          words = "#{title}: #{follow.map { |fact, value| "#{fact} #{value == true ? "yes" : value || "none"}" }.join(", ")}"
          return [] if follow.empty?

          [
            step(:alter, key, words) do |draft|
              next unless draft.element(element.id)

              follow.each { |fact, value| set(draft, element.id, fact, value) }
              note(draft, element.id, wanted)
            end
          ]
        end

        # How it is derived now, whatever stands.
        def note(draft, id, wanted)
          element = draft.element(id)
          facts = Refinement.derived(element).merge(wanted)
          set(draft, id, "as_derived", facts.values.map { |value| value.to_s.gsub("|", "¦") }.join("|"))
        end

        def keeping(element, kept, title, key)
          kept.map do |fact, value|
            Change::Step.new(
              act: :keep,
              key: "keep #{@wanted.thread} #{key} #{fact}",
              words: "#{title}: #{fact} #{current(element, fact) || "none"} was refined and stays; it would be #{value || "none"} now",
              change: nil
            )
          end
        end

        def set(draft, id, fact, value) = Change::Set.new(id:, fact:, value:).apply(draft)

        # What has no thread is a person's own, and stays.
        def dropped(known, wanted, noun)
          threads = wanted.map(&:thread)
          known
            .reject { |one| one["thread"].nil? || threads.include?(one["thread"]) }
            .map do |one|
              step(:drop, one["thread"], "#{noun} #{[@known.name, one.name].compact.join(".")}") do |draft|
                Change::Remove.new(id: one.id).apply(draft) if draft.element(one.id)
              end
            end
        end

        def same?(known, wanted)
          return false unless known["thread"] == wanted.thread

          threads = ->(role) { known.targets(role).map { |id| @set.element(id)["thread"] } }
          return false unless threads.call("column") == wanted.columns

          case wanted
          when Reference
            threads.call("key") == wanted.to && threads.call("to") == [wanted.table]
          when Minimum
            threads.call("of") == [wanted.of] && (known["least"] == wanted.least || Refinement.refined?(@set, known))
          else
            true
          end
        end

        def joining(wanted, old)
          step(old ? :alter : :add, wanted.thread, title(wanted)) do |draft|
            deleting = old && old["deleting"]
            draft.apply(Change::Remove.new(id: old.id)) if old && draft.element(old.id)
            join(draft, wanted, deleting)
          end
        end

        def title(wanted)
          name = @known&.name || @wanted.name
          return "minimum of #{name}: #{English.count(wanted.least, "row")} that refer to each" if wanted.is_a?(Minimum)

          columns = wanted.columns.map { |thread| @wanted.column(thread)&.name }.compact
          "#{wanted.is_a?(Reference) ? "foreign key" : "uniqueness"} of #{name}: #{English.list(columns)}"
        end

        def join(draft, wanted, deleting)
          table = derived(draft, "table", @wanted.thread) or return
          return need(draft, wanted, table) if wanted.is_a?(Minimum)

          columns = wanted.columns.map { |thread| column(draft, table, thread) }
          return if columns.include?(nil)

          wanted.is_a?(Reference) ? refer(draft, wanted, table, columns, deleting) : constrain(draft, wanted, table, columns)
        end

        def refer(draft, wanted, table, columns, deleting)
          target = derived(draft, "table", wanted.table) or return
          keys = wanted.to.map { |thread| column(draft, target, thread) }
          return if keys.include?(nil)

          put(
            draft,
            Change::Add.new(
              kind: "reference",
              facts: {
                "thread" => wanted.thread,
                "deleting" => deleting
              },
              ends: [
                ["from", table.id],
                *columns.map { |one| ["column", one.id] },
                *keys.map { |one| ["key", one.id] },
                ["to", target.id]
              ]
            )
          )
        end

        def need(draft, wanted, table)
          other = derived(draft, "table", wanted.of) or return
          columns = wanted.columns.map { |thread| column(draft, other, thread) }
          return if columns.include?(nil)

          put(
            draft,
            Change::Add.new(
              kind: "minimum",
              facts: {
                "thread" => wanted.thread,
                "least" => wanted.least
              },
              ends: [["table", table.id], ["of", other.id], *columns.map { |one| ["column", one.id] }]
            )
          )
        end

        def constrain(draft, wanted, table, columns)
          put(
            draft,
            Change::Add.new(
              kind: "constraint",
              facts: {
                "thread" => wanted.thread,
                "type" => "unique"
              },
              ends: [["table", table.id], *columns.map { |one| ["column", one.id] }]
            )
          )
        end

        def derived(draft, kind, thread) = draft.of_kind(kind).find { |one| one["thread"] == thread }
        def column(draft, table, thread) = Tabling.columns(draft, table.id).find { |one| one["thread"] == thread }
      end
    end
  end
end
