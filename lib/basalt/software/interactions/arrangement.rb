# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # Participants in an order in which lines are short: by putting each where the sum of all lengths is least, as long as that helps.
      # Whoever speaks first stays first.
      class Arrangement
        ROUNDS = 20

        # @param course [Course]
        def initialize(course)
          @course = course
          @weights = course.messages.map(&:endpoints).reject { |ends| ends.uniq.one? }.map(&:sort).tally
        end

        # @return [Array<String>] ids of participants
        def order
          order = standing
          ROUNDS.times do
            better = order.drop(1).reduce(order) { |best, id| placed(best, id) }
            break if better == order

            order = better
          end
          order
        end

        # @return [Array<#apply>] by which they stand so
        def changes
          keys = order.each_with_index.to_h { |id, index| [id, (index + 1) * Change::OrderKey::ROOM] }
          return [] if keys.keys == @course.participants.map(&:id)

          keys.map { |id, key| Change::Set.new(id:, fact: "lane", value: key.to_s) }
        end

        # @return [Integer] over how many gaps all lines together go
        def length(order)
          places = order.each_with_index.to_h
          @weights.sum { |(one, other), count| count * (places.fetch(one) - places.fetch(other)).abs }
        end

        private

        def standing
          ids = @course.participants.map(&:id)
          first = @course.messages.first&.then { |one| one["open"] == Kinds::FOUND ? nil : one.target("from") }
          first ? [first, *(ids - [first])] : ids
        end

        def placed(order, id)
          rest = order - [id]
          (1..rest.length).map { |place| rest.dup.insert(place, id) }.min_by { |one| [length(one), one == order ? 0 : 1] }
        end
      end
    end
  end
end
