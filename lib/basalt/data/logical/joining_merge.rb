# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # What joins the columns of a table as it should be, brought together with what joins those of the one that stands:
      # foreign keys, uniqueness, minimums.
      class JoiningMerge
        include MergeSteps

        # @param wanted [Table]
        # @param known [Model::Element, nil] the table that was derived from the same before
        def initialize(set, wanted, known)
          @set = set
          @wanted = wanted
          @known = known
        end

        # @return [Array<Change::Step>] once the columns are there
        def steps
          known =
            @known ? Tabling.references(@set, @known.id) + Tabling.constraints(@set, @known.id) + Tabling.minimums(@set, @known.id) : []
          wanted = @wanted.references + @wanted.uniques + @wanted.minimums
          stands, differ = wanted.partition { |one| known.any? { |other| same?(other, one) } }
          differ.map { |one| joining(one, threaded(known, one)) } + dropped(known, wanted, "constraint") +
            stands.grep(Reference).flat_map { |one| acting(one, threaded(known, one)) }
        end

        private

        def threaded(known, wanted) = known.find { |other| other["thread"] == wanted.thread }

        # What becomes of its rows follows, unless somebody decided otherwise.
        def acting(wanted, old)
          columns = wanted.columns.filter_map { |thread| @wanted.column(thread)&.name }
          title = "foreign key of #{@known.name}: #{English.list(columns)}"
          FactMerge.new(@wanted).steps(old, { "deleting" => wanted.deleting }, title, wanted.thread)
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
            decided = old && old.kind == "reference" && old["deleting"] != Refinement.derived(old)["deleting"]
            draft.apply(Change::Remove.new(id: old.id)) if old && draft.element(old.id)
            join(draft, decided ? wanted.with(deleting: old["deleting"]) : wanted)
          end
        end

        def title(wanted)
          name = @known&.name || @wanted.name
          return "minimum of #{name}: #{English.count(wanted.least, "row")} that refer to each" if wanted.is_a?(Minimum)

          columns = wanted.columns.map { |thread| @wanted.column(thread)&.name }.compact
          "#{wanted.is_a?(Reference) ? "foreign key" : "uniqueness"} of #{name}: #{English.list(columns)}"
        end

        def join(draft, wanted)
          table = derived(draft, "table", @wanted.thread) or return
          return need(draft, wanted, table) if wanted.is_a?(Minimum)

          columns = wanted.columns.map { |thread| column(draft, table, thread) }
          return if columns.include?(nil)

          wanted.is_a?(Reference) ? refer(draft, wanted, table, columns) : constrain(draft, wanted, table, columns)
        end

        def refer(draft, wanted, table, columns)
          target = derived(draft, "table", wanted.table) or return
          keys = wanted.to.map { |thread| column(draft, target, thread) }
          return if keys.include?(nil)

          put(
            draft,
            Change::Add.new(
              kind: "reference",
              facts: {
                "thread" => wanted.thread,
                "deleting" => wanted.deleting
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
