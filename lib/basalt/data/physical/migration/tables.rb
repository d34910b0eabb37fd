# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      class Migration
        # Tables that go, and columns of those that stay.
        class Tables
          OPTIONS = /\bWITH \((.*)\)/

          def initialize(pair)
            @pair = pair
          end

          # @return [Array<Step>]
          def steps = gone + @pair.tables.flat_map { |old, now| columns(old, now) + itself(old, now) + joined(old, now) } + new_joined

          private

          def from = @pair.from
          def to = @pair.to
          def step(phase, sql, table, **rest) = Step.new(phase:, sql:, element_id: table.id, **rest)
          def about(table) = "ALTER TABLE #{to.name(table)}"

          # What refers to others goes first; what is made anew goes before that.
          def gone
            gone = @pair.gone_tables
            from.order.reverse.select { |one| gone.include?(one) }.map do |table|
              step(leaves(table), "DROP TABLE #{from.name(table)};", table, loses: "all rows of #{table.name}", rank: -from.rank(table))
            end
          end

          # Before a view whose rows are the type of one of its columns.
          def leaves(table)
            views = from.views.values.to_set { |view| Needs.bare(view) }
            types = Words.of(*from.columns(table).values.map { |column| column["type"] })
            return :drop_views if types.any? { |_, name| views.include?(name) }

            to.tables.key?(table.name) ? :unjoin : :drop_tables
          end

          def columns(old, now)
            before, after = from.columns(old), to.columns(now)
            gone = before.keys - after.keys
            added = after.keys - before.keys
            [
              *added.map { |name| add(now, after[name]) },
              *gone.map { |name| drop(now, before[name]) },
              *(before.keys & after.keys).flat_map { |name| ColumnSteps.new(now, to.name(now), before[name], after[name]).steps }
            ]
          end

          def add(table, column)
            missing = column["required"] && column["default"].nil? && column["generated"].nil?
            step(:alter, "#{about(table)} ADD COLUMN #{to.definitions.column(column)};", table,
                 loses: ("rows that are there have no #{column.name}, which stops it" if missing))
          end

          def drop(table, column)
            kept = column["generated"] && !Numbering::WORDS.include?(column["generated"])
            step(:narrow, "#{about(table)} DROP COLUMN #{SQLName.quote(column.name)};", table,
                 loses: ("all that stands in #{table.name}.#{column.name}" unless kept))
          end

          def itself(old, now)
            steps = []
            steps << step(:alter, "#{about(now)} SET #{now["unlogged"] ? "UNLOGGED" : "LOGGED"};", now) if old["unlogged"] != now["unlogg" \
                                                                                                                                  "ed"]
            steps.concat(stored(old, now)) if old["stored"] != now["stored"]
            if old["partitioned"] != now["partitioned"]
              steps << step(:alter, "#{now.name} partitioned by #{now["partitioned"] || "nothing"}", now,
                            loses: "rows have to be brought into a table that is made anew", by_hand: true)
            end
            steps
          end

          # Options that are not said any more are what they are by themselves.
          def stored(old, now)
            before, after = [old, now].map { |one| one["stored"].to_s[OPTIONS, 1].to_s.split(/,\s*/) }
            left = before.map { |one| one[/\A[^=]+/].strip } - after.map { |one| one[/\A[^=]+/].strip }
            said = []
            said << "RESET (#{left.join(", ")})" if left.any?
            said << "SET (#{after.join(", ")})" if after.any?
            said.map { |words| step(:alter, "#{about(now)} #{words};", now) }
          end

          def joined(old, now)
            before, after = parents(from, old), parents(to, now)
            [
              *(before.keys - after.keys).map { |key| part(old, before[key]) },
              *(after.keys - before.keys).map { |key| join(now, after[key]) }
            ]
          end

          def parents(side, table)
            Sentences.inheritances(side.set, table.id).to_h { |one| [[side.set.element(one.target("parent")).name, one["bounds"]], one] }
          end

          def part(table, one)
            parent = from.name(from.set.element(one.target("parent")))
            name = from.name(table)
            step(:unjoin, one["bounds"] ? "ALTER TABLE #{parent} DETACH PARTITION #{name};" : "ALTER TABLE #{name} NO INHERIT #{parent};",
                 table)
          end

          def join(table, one)
            parent = to.name(to.set.element(one.target("parent")))
            attached = "ALTER TABLE #{parent} ATTACH PARTITION #{to.name(table)} #{one["bounds"]};" if one["bounds"]
            step(:join, attached || "#{about(table)} INHERIT #{parent};", table)
          end

          # What a new table does not say as it is made.
          def new_joined
            lines = @pair.new_tables.flat_map { |table| Sentences.inheritances(to.set, table.id) }
            lines.map { |one| [one, to.definitions.joining(one)] }.select(&:last)
              .map { |one, sql| Step.new(phase: :join, sql:, element_id: one.target("table")) }
          end
        end
      end
    end
  end
end
