# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      class Migration
        # Triggers, rules, policies and what else stands behind tables, views and other objects as SQL; and the triggers that see to
        # minimums.
        class AdditionSteps
          # By {Additions.rank}.
          PHASES = %i[keys references additions comments].freeze
          FUNCTION = /\ACREATE FUNCTION ((?:"(?:[^"]|"")*"|[^("])+\(\))/

          def initialize(pair)
            @pair = pair
            @renewed = Views.new(pair).renewed
          end

          # @return [Array<Step>]
          def steps
            old, now = all(@pair.from), all(@pair.to)
            gone = old.reject { |key, _| now.key?(key) }.values
            made = now.reject { |key, _| old.key?(key) }.values
            gone.reverse.filter_map { |owner, sql| drop(owner, sql) } + made.map { |owner, sql| make(owner, sql) } + minimums
          end

          private

          # What stood behind a view that is made anew is told with it.
          def all(side)
            owners = [*side.tables.values, *side.views.values.reject { |view| @renewed.include?(view.name) }, *side.objects.values]
            found = owners.flat_map { |owner| Sentences.additions(side.set, owner.id).map { |one| [owner, one["written"]] } }
            found.to_h { |owner, sql| [[owner.name, sql], [owner, sql]] }
          end

          # With a table that goes what stands behind it goes; what refers to others stands in the way before that.
          def drop(owner, sql)
            return if Additions.rank(sql) != 1 && (@pair.gone_tables + @pair.gone_objects).include?(owner)

            undone = Undoing.of(sql)
            return Step.new(phase: :drop_additions, sql: undone, element_id: owner.id) if undone

            Step.new(phase: :drop_additions, sql:, element_id: owner.id, loses: "this is not wanted any more", by_hand: true)
          end

          def make(owner, sql)
            rank = Additions.rank(sql)
            rank = [rank, 2].max if owner.kind == "view"
            Step.new(phase: PHASES[rank], sql: "#{sql};", element_id: owner.id)
          end

          def minimums
            old, now = [@pair.from, @pair.to].map { |side| triggers(side) }
            gone = (old.keys - now.keys).flat_map { |key| old[key] }
            made = (now.keys - old.keys).flat_map { |key| now[key] }
            gone.grep(FUNCTION) { Step.new(phase: :drop_additions, sql: "DROP FUNCTION #{Regexp.last_match(1)} CASCADE;") } +
              made.map { |sql| Step.new(phase: :triggers, sql:) }
          end

          def triggers(side)
            found = side.tables.values.flat_map { |table| Tabling.minimums(side.set, table.id) }
            found.to_h { |one| Trigger.of(side.set, one, side.definitions).then { |texts| [texts, texts] } }
          end
        end
      end
    end
  end
end
