# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # A relationship of two as columns or as a joining table.
      class Relation
        # @param kinds [Array<Model::Element, nil>] what stands for the one and for the other end, where the
        #   entity there has no table of its own
        def initialize(mapping, set, relationship, kinds = [])
          @mapping = mapping
          @set = set
          @relationship = relationship
          @one, @other = relationship.ends
          @kinds = { "one" => kinds.first, "other" => kinds.last }.compact
          @how_many_one, @how_many_other = relationship.ends.map { |joined| Cardinality.read(joined.facts["cardinality"]) }
        end

        def map
          return within_key if Dependence.identifying?(@set, @relationship)
          return joining if @relationship["kept"] || (many?(@how_many_one) && many?(@how_many_other))
          return foreign_key(@other, @one, @how_many_one) if many?(@how_many_other)
          return foreign_key(@one, @other, @how_many_other) if many?(@how_many_one)

          one_to_one
        end

        private

        # What is not decided may be many.
        def many?(cardinality) = cardinality.most.nil? || cardinality.most > 1
        def entity(joined) = @kinds[joined.role] || @set.element(joined.target_id)
        def noun(joined) = Noun.of(@set, entity(joined))
        def thread = [@relationship.id, *@kinds.values.map(&:id)].join("/")

        def role(joined)
          joined.facts["role"] || (told_by_verb? ? "#{@relationship.name} #{entity(joined).name}" : entity(joined).name)
        end

        # Of itself, or the second of the same two.
        def told_by_verb?
          return true if @relationship.targets.uniq.one?

          pair = @relationship.targets.sort
          twins = @set.relations_of(pair.first, "relationship").select { |one| one.targets.sort == pair }
          twins.min_by(&:ordinal).id != @relationship.id
        end

        # The owner's key is in the weak entity's table already.
        def within_key
          weak =
            [@one, @other].find do |joined|
              Dependence.of(@set, joined.target_id).any? { |one| Dependence.identifying(@set, one)&.id == @relationship.id }
            end
          @mapping.attributes(@mapping.draft_of(entity(weak)), @relationship)
        end

        # @param at [Model::End] whose table gets the columns
        # @param to [Model::End] that they refer to
        # @param how_many [Cardinality] of those referred to
        def foreign_key(at, to, how_many, unique: false)
          draft = @mapping.draft_of(entity(at))
          must = how_many.least == 1 && at_home?(at)
          required = must && !@kinds.key?(to.role)
          columns = @mapping.refer(draft, entity(to), thread:, role: role(to), required:)
          draft.arc(@relationship.id, columns.first, must:) if @kinds.key?(to.role)
          @mapping.attributes(draft, @relationship, optional: !required)
          draft.unique(Uniqueness.new(thread: "#{thread}/one", columns: columns.map(&:thread))) if unique
          draft.say(
            "#{clause(at, to)} stands in #{English.list(columns.map(&:name))}#{", once at most" if unique}.#{reason(at, to, unique)}"
          )
          open_to_others(draft, to)
          least(draft, to, at, columns, once: unique)
        end

        # A row of the table may be of another kind.
        def open_to_others(draft, to)
          home = @mapping.home(entity(to))
          return if home.id == entity(to).id

          draft.say("That it is #{noun(to).one}, and no other #{home.name}, is not held by the " \
                    "database.")
        end

        # A kind that is kept together with others cannot have to have anything.
        def at_home?(joined) = @mapping.home(entity(joined)).id == entity(joined).id

        def reason(at, to, unique)
          return "" unless unique
          if [@how_many_one, @how_many_other].none? { |how_many| how_many.least == 1 }
            return " It is on this side because neither side must have the other."
          end

          " It is on this side because every #{entity(at).name} has #{noun(to).one}."
        end

        def one_to_one
          return foreign_key(@one, @other, @how_many_other, unique: true) if @how_many_other.least == 1 && @how_many_one.least != 1

          foreign_key(@other, @one, @how_many_one, unique: true)
        end

        def joining
          draft = @mapping.joining(thread, @mapping.house.joining(entity(@one).name, @relationship.name, noun(@other)))
          columns =
            [[@one, @how_many_one], [@other, @how_many_other]].each_with_index.map do |(joined, how_many), index|
              @mapping.refer(
                draft,
                entity(joined),
                thread: "#{thread}/#{joined.role}",
                role: role(joined),
                key: many?(how_many) || (!many?(@how_many_one) && !many?(@how_many_other) && index == 1),
                required: true
              )
            end
          @mapping.attributes(draft, @relationship, key: true)
          unless @relationship["kept"]
            draft.say("#{clause(@one, @other)}, and the other way round there may be many too: a row for each pair.")
          end
          @mapping.period(draft, thread) if @relationship["kept"]
          undecided(draft)
          least(draft, @one, @other, columns.first)
          least(draft, @other, @one, columns.last)
        end

        def undecided(draft)
          if [@how_many_one, @how_many_other].any? { |how_many| how_many.most.nil? }
            draft.say("How many there are is not decided yet; many on both sides is the safe reading.")
          end
        end

        # What a foreign key cannot hold: that there is at least one, or so many.
        #
        # @param columns [Array<Column>] of the draft, which refer to +from+
        # @param once [Boolean] whether there is one at most
        def least(draft, from, to, columns, once: false)
          cardinality = Cardinality.read(to.facts["cardinality"])
          return if (cardinality.most == 1 && !once) || cardinality.least.to_i.zero?

          many = cardinality.most == 1 ? entity(to).name : noun(to).plural
          title = "That #{noun(from).one} has #{to.facts["cardinality"]} #{many}"
          return draft.say("#{title} is not held by the database.") unless @mapping.house.triggers? && @kinds.empty? && at_home?(from)

          @mapping.draft_of(entity(from)).minimum(
            Minimum.new(
              thread: "#{thread}/least #{from.role}",
              of: draft.thread,
              columns: columns.map(&:thread),
              least: cardinality.least
            )
          )
          draft.say(
            "#{title} is looked at when a transaction ends" \
            "#{", as far as the least goes" unless cardinality.most.nil? || cardinality.most == Float::INFINITY}."
          )
        end

        def clause(from, to)
          verb = from.role == "one" ? @relationship.name : @relationship["back"] || "is related to"
          "Which #{entity(to).name} #{noun(from).one} #{verb}"
        end
      end
    end
  end
end
