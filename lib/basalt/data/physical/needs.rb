# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # What each thing of a database needs to be there before it is made, found by the names that its SQL speaks of.
      class Needs
        ROUTINES = %w[function procedure aggregate].freeze
        # They are made before all else, since what they bring has names that nobody tells.
        FIRST = %w[schema extension].freeze

        # @param set [Model::WorkingSet, Change::Draft]
        # @param things [Array<Model::Element>] tables, views and other objects
        def initialize(set, things)
          @set = set
          @things = things
          @named = things.group_by { |thing| Needs.bare(thing) }
        end

        # @param thing [Model::Element]
        # @return [Array(String, String)] its schema, nil for the usual one, and the name as SQL speaks of it, without arguments
        def self.parts(thing)
          return SQLName.parts(thing.name) unless thing.kind == Kinds::OBJECT

          SQLName.parts(thing.name[/\A("(?:[^"]|"")*"|[^("])+/] || thing.name)
        end

        def self.bare(thing) = parts(thing).last

        # @return [Array<Model::Element>] in an order that loads
        def order
          in_order = @things.sort_by.with_index { |thing, index| [FIRST.index(thing["type"]) || FIRST.length, index] }
          by_id = @things.to_h { |thing| [thing.id, thing] }
          LoadingOrder.new(in_order.map { |thing| node(thing) }).ids.map { |id| by_id[id] }
        end

        # @param wanted [Array<Model::Element>]
        # @return [Array<Model::Element>] the other objects that these need, and those that those need
        def objects(wanted)
          found = wanted.to_h { |thing| [thing.id, thing] }
          rest = wanted.dup
          while (thing = rest.shift)
            spoken(thing).each { |other| other.kind == Kinds::OBJECT && found[other.id].nil? && rest.push(found[other.id] = other) }
          end
          found.values - wanted
        end

        private

        def node(thing)
          needs, likes =
            FIRST.include?(thing["type"]) ? [[], []] : asked(thing)
          LoadingOrder::Node.new(id: thing.id, needs:, likes:)
        end

        def asked(thing)
          case thing.kind
          when "table" then [table(thing), referred(thing)]
          when "view" then [among(Words.of(thing["query"], thing["heading"])), []]
          else object(thing)
          end
        end

        # @param words [Set] see {Words}
        # @return [Array<Model::Element>] what they may speak of
        def meant(words) = words.flat_map { |before, name| before ? qualified(before, name) : bare(name) }.uniq(&:id)

        # What nobody puts in a schema is in the usual one, if it is there.
        def bare(name)
          found = @named.fetch(name, [])
          usual = found.select { |thing| Needs.parts(thing).first.nil? }
          usual.empty? ? found : usual
        end

        # Before the name stands its schema, or it is a column of what is named before.
        def qualified(before, name)
          schema = before == Reading::USUAL ? nil : before
          @named.fetch(name, []).select { |thing| Needs.parts(thing).first == schema } + @named.fetch(before, [])
        end

        def among(words) = meant(words).map(&:id)

        # A table speaks of other tables only as the types of its columns, or as what it inherits from.
        def table(thing)
          columns = Tabling.columns(@set, thing.id)
          Sentences.inheritances(@set, thing.id).map { |one| one.target("parent") } +
            among(Words.of(*columns.map { |one| one["type"] })) + objects_among(Words.of(*written(thing, columns)))
        end

        def objects_among(words) = meant(words).select { |one| one.kind == Kinds::OBJECT }.map(&:id)

        def written(thing, columns)
          [
            *thing.facts.values_at("key_written", "stored", "partitioned"),
            *columns.flat_map { |one| one.facts.values_at("default", "generated", "numbering") },
            *Tabling.checks(@set, thing.id).map { |one| one["expression"] },
            *Tabling.constraints(@set, thing.id).map { |one| one["as_written"] }
          ]
        end

        def referred(thing) = Tabling.references(@set, thing.id).map { |one| one.target("to") }

        # The body of a routine is read when it is called, or at most when an expression is made of it.
        def object(thing)
          text = thing["written"].to_s
          return [among(Words.of(text)), []] unless ROUTINES.include?(thing["type"])

          [among(Words.outside_strings(text)), text.match?(/\bLANGUAGE\s+'?sql\b/i) ? among(Words.of(text)) : []]
        end

        def spoken(thing)
          columns = thing.kind == "table" ? Tabling.columns(@set, thing.id) : []
          text =
            case thing.kind
            when "table" then [*columns.map { |one| one["type"] }, *written(thing, columns)]
            when "view" then [thing["query"], thing["heading"]]
            else [thing["written"]]
            end
          meant(Words.of(*text, *Sentences.additions(@set, thing.id).map { |one| one["written"] }))
        end
      end
    end
  end
end
