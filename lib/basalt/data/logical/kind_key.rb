# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # What tells the rows of a kind apart: the key of what it is a kind of. A kind of several has the key of each (Elmasri and
      # Navathe, 9.2.2: shared subclasses); where they are kinds of the same in turn, one key is all of theirs. A key of its own,
      # as the members of a category have, is held besides (9.2.3).
      class KindKey
        def initialize(mapping, set, entity)
          @mapping = mapping
          @set = set
          @entity = entity
          @own = OwnKey.new(mapping, set, entity)
          @without, @with = Specialising.generals(set, entity.id).partition { |general| SpecialisationMapping.apart(set, general).any? }
        end

        def fill(draft)
          return whole(draft) if @with.empty?

          first, *others = @with
          key = @mapping.refer(draft, first, thread: "#{@entity.id}/general", role: @entity.name, key: true)
          draft.say("#{noun(@entity).first} is a kind of #{first.name}: its key is that of the #{first.name}.")
          others.each { |general| besides(draft, general, first, key) }
          own(draft)
          @without.each { |general| within(draft, general) }
        end

        private

        def noun(entity) = Noun.of(@set, entity)

        def own(draft)
          @mapping.attributes(draft, @entity)
          told = @own.held(draft)
          draft.say(@own.still_told([told])) if told.any?
        end

        # @param key [Array<Column>] of the table, which refers to the first general entity
        def besides(draft, general, first, key)
          return if table(general) == table(first)

          thread = "#{@entity.id}/general/#{general.id}"
          if root(general) == root(first)
            @mapping.refer_by(draft, key, general, thread:)
            return draft.say("It is that of the #{general.name} too.")
          end

          columns = @mapping.refer(draft, general, thread:, required: true)
          draft.unique(Uniqueness.new(thread: "#{thread}/one", columns: columns.map(&:thread)))
          draft.say("It is a kind of #{general.name} as well, each of another, which stands in #{English.list(columns.map(&:name))}.")
        end

        def table(entity) = @mapping.home(entity).id

        # @return [String] id of the entity whose key one has in the end
        def root(entity)
          while (above = Specialising.generals(@set, entity.id).find { |general| SpecialisationMapping.apart(@set, general).none? })
            entity = above
          end
          table(entity)
        end

        # All that the general entities have stands here, since they have no table.
        def whole(draft)
          @own.fill(draft, [*@without, @entity])
          @without.each { |general| hold(draft, general) }
        end

        def within(draft, general)
          @mapping.attributes(draft, general)
          @own.held(draft, general)
          hold(draft, general)
        end

        def hold(draft, general)
          draft.say("It holds all of #{noun(general).one} too, which has no table of its own.")
          draft.say("One that is several kinds stands in several tables.") if general["split"] == "overlapping"
          return unless general["split"] == "disjoint"

          draft.say("That #{noun(general).one} is no other kind as well is not held by the database.")
        end
      end
    end
  end
end
