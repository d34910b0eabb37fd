# frozen_string_literal: true

module Basalt
  module Journeys
    # Which states a thing comes to and leaves when all journeys are walked. In each it begins in its first state; a step that says from
    # which one it moves something is meant for when that is so.
    class Lives
      # @param survey [Survey]
      # @param name [String] of the thing
      # @param first [String] the state that it begins in
      def initialize(survey, name, first)
        @name = name
        @reached = Set[first]
        @left = Set.new
        survey.journeys.each { |one| walk(one, first) }
      end

      # @return [Set<String>]
      attr_reader :reached, :left

      private

      # Every step in every state that the thing may have there.
      def walk(one, first)
        return unless one.course.steps.any? { |step| step["moves"] == @name }

        flow = Flow.new(one.course)
        waiting = flow.starts.compact.map { |id| [id, first] }
        seen = waiting.to_set
        while (id, state = waiting.pop)
          state = moved(one.course.set.element(id), state)
          flow.after(id).compact.each { |to| waiting << [to, state] if seen.add?([to, state]) }
        end
      end

      def moved(step, state)
        return state unless step["moves"] == @name && step["state"]

        from = step["was"] || state
        @left << from unless from == step["state"]
        @reached << step["state"]
        step["state"]
      end
    end
  end
end
