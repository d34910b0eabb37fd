# frozen_string_literal: true

module Basalt
  module Change
    # Makes new elements after the pattern of others, with their parts and the relations among
    # them, and shows them where the patterns stand, so many px further. Names are numbered on.
    class Duplicate
      # @param ids [Array<String>] elements on the first sheet
      # @param to [String] id of the sheet that shows the new ones
      def initialize(ids:, from:, to:, dx: 0, dy: 0)
        @ids = ids
        @from = from
        @to = to
        @shift = [dx, dy]
        @made = {}
      end

      # @return [Hash{String => String}] the new element of each pattern, once applied
      attr_reader :made

      def apply(draft)
        patterns = @ids.filter_map { |id| draft.element(id) }
        things = patterns.reject(&:relation?)
        raise Refusals::Gone, "what was to be copied" if patterns.empty?
        raise Mistake, "a line is copied together with what it joins" if things.empty?

        things.each { |thing| copy_thing(draft, thing) }
        relations(draft, things).each { |relation| copy_relation(draft, relation) }
        draft
      end

      private

      def copy_thing(draft, thing)
        raise Mistake, "#{thing.name} is there once and cannot be copied" if thing.name == thing.description.default_name(thing.noun)

        copy(
          draft,
          thing,
          name: Model::Names.following(thing.name) { |name| draft.named(name).any? },
          container_id: @made.fetch(thing.container_id, thing.container_id)
        )
        copy_parts(draft, thing)
        stand(draft, thing)
      end

      # Parts may have parts themselves.
      def copy_parts(draft, owner)
        draft
          .parts_of(owner.id)
          .each do |part|
            copy(draft, part, owner_id: @made[owner.id])
            copy_parts(draft, part)
          end
      end

      def copy(draft, pattern, **different)
        id = draft.new_id
        @made[pattern.id] = id
        draft.put(
          :elements,
          pattern.with(id:, ordinal: nil, external_id: nil, facts: pattern.facts.reject { |fact, _| own?(pattern, fact) }, **different)
        )
      end

      def own?(pattern, fact) = pattern.description.fields[fact]&.own

      def stand(draft, thing)
        return unless draft.sheets[@to].notation.draws?(thing)

        Show.new(sheet_id: @to, element_id: @made[thing.id]).apply(draft)
        pattern = draft.placement(@from, thing.id)
        return unless pattern&.box

        shape = pattern.shape&.except("rails")
        Arrange.new(
          placement_id: draft.placement(@to, @made[thing.id]).id,
          to: {
            x: pattern.x + @shift[0],
            y: pattern.y + @shift[1],
            shape: shape && shape.empty? ? nil : shape
          }
        ).apply(draft)
      end

      def relations(draft, things)
        (things.map(&:id) + @made.keys)
          .uniq
          .flat_map { |id| draft.relations_of(id) }
          .uniq(&:id)
          .sort_by(&:ordinal)
          .select { |relation| relation.targets.all? { |id| @made.key?(id) } }
      end

      def copy_relation(draft, relation)
        copy(draft, relation, ends: relation.ends.map { |joined| joined.with(target_id: @made.fetch(joined.target_id)) })
      end
    end
  end
end
