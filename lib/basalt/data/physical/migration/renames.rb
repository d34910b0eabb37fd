# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      class Migration
        # What is called otherwise now. The old database is taken as it stands once that is done.
        class Renames
          MODELLED = ["table", "view", Kinds::OBJECT].freeze

          def initialize(from, to)
            @from = from
            @to = to
            @steps = []
            @draft = Change::Draft.new(from)
            columns
            things
          end

          attr_reader :draft, :steps

          private

          def add(sql, id) = @steps << Step.new(phase: :rename, sql:, element_id: id)

          def pairs(*kinds)
            @from.of_kind(*kinds).filter_map do |old|
              now = @to.element(old.id)
              [old, now] if now && now.kind == old.kind && now.name != old.name
            end
          end

          def columns
            pairs("column").each do |old, now|
              table = @draft.element(old.owner_id)
              next if now.owner_id != old.owner_id || Tabling.column(@draft, table.id, now.name)

              FirstNames.keep(@draft, table)
              add("ALTER TABLE #{SQLName.qualified(table.name)} RENAME COLUMN #{SQLName.quote(old.name)} TO #{SQLName.quote(now.name)};",
                  table.id)
              @draft.apply(Change::Set.new(id: old.id, fact: "name", value: now.name))
              Respelling.follow(@draft, table.id, { old.name => now.name })
            end
          end

          def things
            pairs(*MODELLED).each do |old, now|
              next if @draft.named(now.name).any? { |one| one.kind == old.kind } || (word = word(old)).nil?

              FirstNames.keep(@draft, @draft.element(old.id)) if old.kind == "table"
              call(old, now, word)
              Mentions.follow(@draft, @draft.element(old.id), now.name)
              @draft.apply(Change::Set.new(id: old.id, fact: "name", value: now.name))
            end
          end

          # What is moved to another schema is moved first.
          def call(old, now, word)
            (old_home, old_name), (home, name) = Needs.parts(old), Needs.parts(now)
            rest = old.name[/\(.*\)\z/m] if Needs::ROUTINES.include?(old["type"])
            quoted = ->(*parts) { "#{parts.compact.map { |one| SQLName.quote(one) }.join(".")}#{rest}" }
            add("ALTER #{word} #{quoted.(old_home, old_name)} SET SCHEMA #{SQLName.quote(home || Reading::USUAL)};",
                old.id) if home != old_home
            add("ALTER #{word} #{quoted.(home, old_name)} RENAME TO #{SQLName.quote(name)};", old.id) if name != old_name
          end

          def word(thing)
            case thing.kind
            when "table" then "TABLE"
            when "view" then thing["materialised"] ? "MATERIALIZED VIEW" : "VIEW"
            else Undoing::WORDS[thing["type"]]
            end
          end
        end
      end
    end
  end
end
