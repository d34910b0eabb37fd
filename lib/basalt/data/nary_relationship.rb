# frozen_string_literal: true

module Basalt
  module Data
    # Relationships of more than two entities.
    module NaryRelationship
      module_function

      # @param said [Hash] +entities+ and the name of the +meeting+
      def join(context, said)
        raise Mistake, "two entities are related by a verb; more than two meet" if said[:entities].length < 3

        meeting = context.find(said[:meeting].to_str, ["meeting"]).first || context.add("meeting", name: said[:meeting].to_str)
        counts = said[:entities].group_by(&:id).transform_values(&:length)
        counts.each do |id, count|
          known = of(context.draft, meeting.id).count { |one| one.target("entity") == id }
          (count - known).times { context.add("participation", ends: [["meeting", meeting.id], ["entity", id]]) }
        end
        context.show(meeting, *said[:entities])
      end

      # @return [Array<Model::Element>] participations, in order
      def of(set, meeting_id) = set.relations_of(meeting_id, "participation").select { |one| one.target("meeting") == meeting_id }

      # How many of an entity there are for one combination of the others.
      def decide(context, said)
        participation = of(context.draft, said[:meeting].id).find { |one| one.target("entity") == said[:entity].id } or
          raise Mistake, "#{said[:entity].name} does not meet in #{said[:meeting].name}"
        facts = { "cardinality" => said[:cardinality], "role" => said[:role] }.compact
        Change::SetEnd.new(id: participation.id, role: "entity", facts:).apply(context.draft)
      end

      # The first participation tells of all.
      def tell(unparser, participation)
        meeting = unparser.set.element(participation.target("meeting"))
        all = of(unparser.set, meeting.id)
        return [] unless all.first.id == participation.id

        listed =
          all.each_with_index.flat_map do |one, index|
            entity = unparser.set.element(one.target("entity"))
            between = index == all.length - 1 ? "and" : :comma
            [*(between unless index.zero?), Noun.of(unparser.set, entity).article, unparser.thing(entity.id)]
          end
        [
          *(unparser.say(*listed, "meet in", unparser.name(meeting.name)) if all.length > 2),
          *all.filter_map { |one| decided(unparser, meeting, one) }
        ]
      end

      def decided(unparser, meeting, participation)
        facts = participation.ends.last.facts
        return if facts.empty?

        unparser.say(
          "in",
          unparser.thing(meeting.id),
          "the others meet",
          *(facts["cardinality"] || "some"),
          unparser.thing(participation.target("entity")),
          *(["as", unparser.word(facts["role"])] if facts["role"])
        )
      end
    end
  end
end
