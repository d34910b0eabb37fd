# frozen_string_literal: true

module Basalt
  module Journeys
    # A rule about the states of things.
    class StateCheck < JourneyCheck
      # What is known of the states of a thing.
      States = Value.of(:element, :thing, :names, :ends, :lives)

      private

      def found = states.flat_map { |one| of(one) }

      def states
        set.of_kind(Kinds::STATES).map do |element|
          thing = set.element(element.target("of"))
          names = element["names"].to_s.split(NameListSlot::BETWEEN)
          ends = element["ends"]&.split(NameListSlot::BETWEEN) || names.last(1)
          States.new(element:, thing:, names:, ends:, lives: Lives.new(survey, thing.name, names.first))
        end
      end
    end
  end
end
