# frozen_string_literal: true

module Basalt
  module Journeys
    # What sentences about steps do to a model.
    module Steps
      FACTS = %w[from to passes].freeze
      # Of one journey; what is longer is several.
      MOST = 2000

      # A step with a number that is not the next one, or whose journey is not said where there are several.
      class Misplaced < Mistake; end

      module_function

      # A step whose number is there says something else from now on; another comes at the end of what it belongs to.
      #
      # @param said [Hash] +number+, perhaps +journey+, and what it says
      def step(context, said)
        course = Course.new(context.draft, journey(context, said).id)
        element = course.at(said[:number]) || added(context, course, said[:number], Kinds::STEP)
        say(context, element, said)
      end

      def say(context, element, said)
        FACTS.each { |fact| context.set(element.id, fact, said[fact.to_sym]) }
        context.qualify(element, said)
      end

      def branch(context, said)
        course = Course.new(context.draft, journey(context, said).id)
        element = course.at(said[:number]) || added(context, course, said[:number], Kinds::BRANCH)
        context.set(element.id, "condition", said[:condition])
        context.set(element.id, "refusal", said[:refusal] ? true : nil)
      end

      # @return [Model::Element] the one that is meant: of several on a sheet it has to be said
      def journey(context, said)
        return said[:journey] if said[:journey]

        found = context.sheet_id ? context.draft.things_on(context.sheet_id) : context.draft.of_kind(Kinds::JOURNEY)
        found = found.select { |one| one.kind == Kinds::JOURNEY }
        return found.first if found.one?

        raise Misplaced, "there is no journey here: “journey Report a leak, by Caller” makes one" if found.empty?

        raise Misplaced, "there are #{found.length} journeys here: say which, as in “step #{said[:number]} of #{found.first.name}: …”"
      end

      def added(context, course, number, kind)
        owner = number[/\A(.*?)\.?(?:\d+|[a-z]+)\z/, 1]
        holder = owner.empty? ? course.journey : course.at(owner)
        raise Misplaced, "#{course.journey.name} has no #{owner} that #{number} could belong to" unless holder
        raise Misplaced, "#{course.journey.name} has #{MOST} steps, which is as many as a journey can have" if course.steps.length >= MOST

        context.add(kind, owner_id: holder.id)
      end

      # @return [Model::Element] the journey that a step or branch belongs to
      def around(set, id)
        element = set.element(id)
        element = set.element(element.owner_id) while element.owner_id
        element
      end

      # @return [String] such as +step 2 of Report a leak+
      def title(set, element)
        journey = around(set, element.id)
        "#{element.kind == Kinds::STEP ? "step" : "branch"} #{Course.new(set, journey.id).number(element.id)} of #{journey.name}"
      end

      # @param said [Hash] +from+ and +to+, numbers, and +journey+
      def go_on(context, said)
        from, to = ends(context.draft, said)
        standing(context.draft, from.id).each { |one| context.draft.apply(Change::Remove.new(id: one.id)) }
        context.add(Kinds::GOING_ON, ends: [["from", from.id], ["to", to.id]])
      end

      def ends(set, said)
        course = Course.new(set, said[:journey].id)
        said.values_at(:from, :to).map do |number|
          course.at(number) or raise Misplaced, "#{said[:journey].name} has no step #{number}"
        end
      end

      def standing(set, id) = set.relations_of(id, Kinds::GOING_ON).select { |one| one.target("from") == id }
    end
  end
end
