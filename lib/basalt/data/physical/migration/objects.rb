# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      class Migration
        # Types, functions, sequences and the like: those that are new, that go, and that are written otherwise.
        class Objects
          # What CREATE OR REPLACE takes the place of.
          REPLACED = %w[function procedure].freeze
          # What a sequence does unless it says otherwise, by its option.
          USUAL = {
            "increment" => "INCREMENT 1", "minvalue" => "NO MINVALUE", "maxvalue" => "NO MAXVALUE", "start" => nil, "cache" => "CACHE 1",
            "cycle" => "NO CYCLE"
          }.freeze
          RETURNS = /\bRETURNS\s+(?:SETOF\s+|TABLE\s*\([^)]*\)|[\w."\[\]]+)+/i

          def initialize(pair)
            @pair = pair
          end

          # @return [Array<Step>]
          def steps = settings + schemas + made + altered + gone

          private

          def from = @pair.from
          def to = @pair.to
          def step(phase, sql, object, **rest) = Step.new(phase:, sql:, element_id: object&.id, **rest)

          def settings
            bodies = (to.objects.values - from.objects.values).any? { |one| Needs::ROUTINES.include?(one["type"]) }
            bodies && fresh.any? { |one|
              Needs::ROUTINES.include?(one["type"])
            } ? [step(:rename, "SET check_function_bodies = off;", nil)] : []
          end

          def fresh = to.objects.reject { |key, one| from.objects[key] && from.objects[key]["written"] == one["written"] }.values

          def schemas
            made = to.objects.keys.select { |type, _| type == "schema" }.map { |_, name| SQLName.local(name) }
            (to.schemas - from.schemas - made).map { |name| step(:rename, "CREATE SCHEMA IF NOT EXISTS #{SQLName.quote(name)};", nil) }
          end

          # New ones and new tables, in an order that loads.
          def made
            known = from.objects.keys.to_set
            fresh = to.order.select { |one| one.kind == Kinds::OBJECT ? !known.include?([one["type"], one.name]) : new_table?(one) }
            fresh.map { |one| step(phase(one), one.kind == "table" ? create(one) : whole(one), one, rank: to.rank(one)) } +
              fresh.select { |one| one.kind == "table" }.flat_map { |one| sequences(one) }
          end

          # Those that are not called as the server would call them.
          def sequences(table)
            named = Tabling.columns(to.set, table.id).select { |one| one["sequence"] && one["generated"] == Numbering::SERIAL }
            named.map do |column|
              usual, wanted = FirstNames.usual_sequence(table, column), SQLName.local(column["sequence"])
              step(:alter, "ALTER SEQUENCE #{SQLName.qualified(usual)} RENAME TO #{SQLName.quote(wanted)};", table)
            end
          end

          def new_table?(one) = one.kind == "table" && @pair.new_tables.include?(one)
          def phase(one) = after_views?(one) ? :views : :make

          # What speaks of a view is made behind it.
          def after_views?(one)
            views = (@views ||= to.views.values.to_set { |view| Needs.bare(view) })
            return false if views.empty?

            words = one.kind == "table" ? Words.of(*to.columns(one).values.map { |column|
              column["type"]
            }) : Words.outside_strings(one["written"])
            words.any? { |_, name| views.include?(name) }
          end

          def create(table)
            definitions = to.definitions
            lines = definitions.columns(table).map { |column| definitions.column(column) } + [*definitions.key(table)] +
                    definitions.uniques(table).map { |one| definitions.unique(one) } +
                    definitions.checks(table).select { |one| one["validity"].nil? }.map { |one| definitions.check(one) }
            definitions.table(table, lines)
          end

          def whole(object) = SQLText.new(object["written"]).pieces.map { |piece| "#{piece.text};" }.join("\n")

          def altered
            (from.objects.keys & to.objects.keys).flat_map do |key|
              old, now = from.objects[key], to.objects[key]
              old["written"] == now["written"] ? [] : other(old, now)
            end
          end

          def other(old, now)
            return routine(old, now) if REPLACED.include?(now["type"])
            return enumeration(old, now) if now["type"] == Kinds::ENUMERATION
            return type(old, now) if Kinds::OF_COLUMNS.include?(now["type"])
            return sequence(now) if now["type"] == "sequence"

            again(old, now)
          end

          def again(old, now)
            undone = Undoing.object(old)
            return [step(:alter, whole(now), now, loses: "this is made otherwise now: #{old.name}", by_hand: true)] unless undone

            [step(:drop_views, undone, now), step(:make, whole(now), now)]
          end

          def routine(old, now)
            replaced = whole(now).sub(/\ACREATE\s+(?:OR\s+REPLACE\s+)?/i, "CREATE OR REPLACE ")
            returns = [old, now].map { |one| one["written"][RETURNS].to_s.gsub(/\s+/, " ").downcase }
            return [step(:make, replaced, now)] if returns.uniq.one?

            [step(:make, "#{Undoing.object(old)}\n#{replaced}", now)]
          end

          # Values that are only added are added; otherwise the type is made anew.
          def enumeration(old, now)
            before, after = [old, now].map { |one| Enumeration.values(one["written"]) }
            return type(old, now) unless before && after && (before - after).empty? && before == after & before

            after.each_with_index.reject { |value, _| before.include?(value) }.map do |value, index|
              place = index.zero? ? ("BEFORE #{SQLName.text(before.first)}" if before.any?) : "AFTER #{SQLName.text(after[index - 1])}"
              words = ["ALTER TYPE", SQLName.qualified(now.name), "ADD VALUE", SQLName.text(value), place]
              step(:rename, "#{words.compact.join(" ")};", now)
            end
          end

          # Under another name the old one stays until its columns are of the new one.
          def type(old, now)
            home, name = Needs.parts(old)
            aside = [home, "#{name}_before"].compact.map { |one| SQLName.quote(one) }.join(".")
            lost = "rows with what #{now.name} does not take any more stop it"
            word = Undoing::WORDS.fetch(now["type"])
            [
              step(:drop_constraints, "ALTER #{word} #{SQLName.qualified(old.name)} RENAME TO #{SQLName.quote("#{name}_before")};", now),
              step(:drop_constraints, whole(now), now),
              *columns(now).map { |table, column| step(:alter, converted(table, column), table, loses: lost) },
              step(:drop_objects, "DROP #{word} #{aside};", now)
            ]
          end

          def columns(type)
            bare = Needs.bare(type)
            @pair.tables.flat_map do |old, now|
              before = from.columns(old)
              to.columns(now).values.select { |one| before.key?(one.name) && of?(one, bare) }.map { |column| [now, column] }
            end
          end

          def of?(column, bare) = Words.of(column["type"]).any? { |_, name| name == bare }

          # A default of the old type cannot stay.
          def converted(table, column)
            about = "ALTER TABLE #{to.name(table)} ALTER COLUMN #{SQLName.quote(column.name)}"
            many = column["type"].end_with?("[]") ? "text[]" : "text"
            [
              *("#{about} DROP DEFAULT;" if column["default"]),
              "#{about} TYPE #{column["type"]} USING #{SQLName.quote(column.name)}::#{many}::#{column["type"]};",
              *("#{about} SET DEFAULT #{column["default"]};" if column["default"])
            ].join("\n")
          end

          def sequence(now)
            made = PostgresParser.parse(now["written"]).tree.stmts.first.stmt.create_seq_stmt
            said = made.options.map { |one| one.def_elem.defname }
            usual = USUAL.reject { |option, _| said.include?(option) }.values.compact
            text = whole(now).sub(/\ACREATE\s+(?:UNLOGGED\s+)?SEQUENCE(?:\s+IF\s+NOT\s+EXISTS)?/i, "ALTER SEQUENCE").delete_suffix(";")
            [step(:alter, "#{[text, *usual].join(" ")};", now)]
          end

          def gone
            leaving = from.order.select { |one| one.kind == Kinds::OBJECT && !to.objects.key?([one["type"], one.name]) }
            leaving.map do |old|
              undone = Undoing.object(old)
              next step(:drop_objects, old["written"], old, loses: "what this made is not wanted any more", by_hand: true) unless undone

              step(leaves(old, undone), undone, old, loses: lost(old), rank: -from.rank(old))
            end
          end

          # Before what it speaks of.
          def leaves(old, undone)
            return :comments if old["type"] == "schema"
            return :unjoin if undone.match?(/\ADROP (?:FOREIGN )?TABLE/)
            return :drop_objects unless Needs::ROUTINES.include?(old["type"])

            words = Words.outside_strings(old["written"]).to_set(&:last)
            relations = @pair.gone_tables + @pair.reshaped + from.views.values
            relations.any? { |one| words.include?(Needs.bare(one)) } ? :drop_views : :drop_objects
          end

          def lost(old) = ("the numbers that #{old.name} has given" if old["type"] == "sequence")
        end
      end
    end
  end
end
