# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      class Migration
        # Keys, uniqueness, checks, indexes and references of tables that stay, and references of new ones.
        class Constraints
          # What a constraint says, under what name, and in which phases it comes and goes.
          One = Value.of(:says, :called, :adds, :drops, :phase, :element, :to)

          def initialize(pair)
            @pair = pair
          end

          # @return [Array<Step>]
          def steps
            @renamed = []
            found = @pair.tables.flat_map { |old, now| between(old, now) } + @pair.new_tables.flat_map { |table| fresh(table) } + leaving
            found + renames
          end

          private

          def between(old, now)
            before, after = all(@pair.from, old), all(@pair.to, now)
            same, gone = before.partition { |one| standing?(one, after) }
            kept = same.map { |one| partner(one, after) }
            same.zip(kept) { |one, other| @renamed << [one, other, now] unless one.called == other.called }
            gone.map { |one| drop(one) } + (after - kept).map { |one| add(one) }
          end

          # A reference to a key that is made anew has to be made anew too.
          def standing?(one, after)
            partner(one, after) && !(one.phase == :references && rekeyed.include?(one.to))
          end

          def partner(one, after)
            alike = after.select { |other| other.phase == one.phase && other.says == one.says }
            alike.find { |other| other.called == one.called } || alike.first
          end

          # @return [Set<String>] tables whose keys or unique constraints are other ones
          def rekeyed
            @rekeyed ||= begin
              altered = @pair.tables.select { |old, now| keys(@pair.from, old) != keys(@pair.to, now) || retyped?(old, now) }
              (altered.map(&:last) + @pair.gone_tables).to_set(&:name)
            end
          end

          def keys(side, table) = all(side, table).select { |one| %i[keys indexes].include?(one.phase) }.map(&:says).sort

          def retyped?(old, now)
            before = @pair.from.columns(old)
            referred(now).any? { |column| before[column.name] && before[column.name]["type"] != column["type"] }
          end

          # @return [Array<Model::Element>] columns that others may refer to
          def referred(table)
            set = @pair.to.set
            Tabling.key_columns(set, table.id) |
              Tabling.constraints(set, table.id).flat_map { |one| one.targets("column").map { |id| set.element(id) } }
          end

          def step(phase, sql, one) = Step.new(phase:, sql:, element_id: one.element.id)
          def drop(one) = step(one.phase == :references ? :drop_references : :drop_constraints, one.drops, one)
          def add(one) = step(one.phase, one.adds, one)

          # What has a name that another is to get gives it up first.
          def renames
            wanted = @renamed.to_set { |_, other, table| [SQLName.schema(table.name), other.called] }
            @renamed.flat_map.with_index do |(one, other, table), index|
              next rename(one, other, table, one.called, other.called) unless wanted.include?([SQLName.schema(table.name), one.called])

              aside = "renamed_#{index}"
              rename(one, other, table, one.called, aside, :aside) + rename(one, other, table, aside, other.called)
            end
          end

          def rename(one, other, table, old, fresh, phase = :recall)
            about =
              if one.phase == :indexes then "ALTER INDEX #{in_schema(table, old)} RENAME TO"
              else "ALTER TABLE #{@pair.to.name(table)} RENAME CONSTRAINT #{SQLName.quote(old)} TO"
              end
            [step(phase, "#{about} #{SQLName.quote(fresh)};", other)]
          end

          def in_schema(table, name) = [SQLName.schema(table.name), name].compact.map { |one| SQLName.quote(one) }.join(".")

          # What is not said in CREATE TABLE.
          def fresh(table)
            all(@pair.to, table).select { |one|
              %i[indexes references].include?(one.phase) || one.adds.end_with?("NOT VALID;")
            }.map { |one| add(one) }
          end

          # References to tables that go are dropped with those that refer, or before.
          def leaving
            @pair.gone_tables.flat_map { |table| all(@pair.from, table).select { |one| one.phase == :references } }.map { |one| drop(one) }
          end

          def all(side, table)
            definitions = side.definitions
            [
              *key(side, table),
              *definitions.uniques(table).map { |one| added(side, table, one, :keys, definitions.unique(one)) },
              *definitions.checks(table).map { |one| added(side, table, one, :checks, definitions.check(one)) },
              *definitions.references(table).map { |one| added(side, table, one, :references, definitions.foreign_key(one)) },
              *definitions.indexes(table).map { |one| index(side, table, one) }
            ]
          end

          def key(side, table)
            said = side.definitions.key(table) or return []
            [one(side, table, table, :keys, said, Naming.key(table))]
          end

          def added(side, table, element, phase, said)
            called = element["called"] || Naming.usual_of(side.set, table, element)
            one(side, table, element, phase, said, called, element["validity"])
          end

          def one(side, table, element, phase, said, called, validity = nil)
            to = side.set.element(element.target("to")).name if phase == :references
            says = "#{said.sub(/\ACONSTRAINT\s+(?:"(?:[^"]|"")*"|\S+)\s+/, "")}#{" NOT VALID" if validity}"
            One.new(says:, called:, phase:, element:, to:,
                    adds: "ALTER TABLE #{side.name(table)} ADD CONSTRAINT #{SQLName.quote(called)} #{says};",
                    drops: "ALTER TABLE #{side.name(table)} DROP CONSTRAINT #{SQLName.quote(called)};")
          end

          def index(side, table, element)
            called = Naming.of_constraint(side.set, table, element)
            sql = side.definitions.index(element)
            bare = sql.sub(/\A(CREATE (?:UNIQUE )?INDEX) (?:(?:"(?:[^"]|"")*"|\S+) )?ON /, '\1 ON ')
            adds = bare.sub(" ON ", " #{SQLName.quote(called)} ON ")
            One.new(says: bare, called:, phase: :indexes, element:, adds:, drops: "DROP INDEX #{in_schema(table, called)};")
          end
        end
      end
    end
  end
end
