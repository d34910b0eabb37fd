# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      class Migration
        # Both databases, and what of one is in the other.
        class Pair
          def initialize(from, to)
            @from = from
            @to = to
          end

          attr_reader :from, :to

          # @return [Array<Array(Model::Element, Model::Element)>] each table that was there with what it becomes
          def tables = @tables ||= staying.reject { |old, now| heirs(from, old) != heirs(to, now) }

          # @return [Array<Model::Element>] tables that are new, or made anew
          def new_tables = to.tables.values_at(*(to.tables.keys - kept))
          def gone_tables = from.tables.values_at(*(from.tables.keys - kept))

          # @return [Set<String>] what the rest of the old database may speak of and will not find, or not as it was: names
          def altered = @altered ||= (gone_tables + reshaped + gone_objects).to_set { |one| Needs.bare(one) }

          # @return [Array<Model::Element>] tables of which columns go or get another type
          def reshaped
            tables.select { |old, now| reshaped?(old, now) }.map(&:first)
          end

          # @return [Array<Model::Element>] objects that go, or are made anew
          def gone_objects
            from.objects.reject { |key, one| to.objects[key] && to.objects[key]["written"] == one["written"] }.values
          end

          private

          def staying = (from.tables.keys & to.tables.keys).map { |name| [from.tables[name], to.tables[name]] }
          def kept = @kept ||= tables.map { |_, now| now.name }

          # Of what a table inherits from the beginning its columns are; with others it is another table.
          def heirs(side, table)
            said = Sentences.inheritances(side.set, table.id).reject { |one| one["bounds"] || one["afterwards"] }
            said.map { |one| side.set.element(one.target("parent")).name }
          end

          def reshaped?(old, now)
            after = to.columns(now)
            from.columns(old).any? { |name, column| after[name].nil? || shape(column) != shape(after[name]) }
          end

          def shape(column) = column.facts.values_at("type", "generated")
        end
      end
    end
  end
end
