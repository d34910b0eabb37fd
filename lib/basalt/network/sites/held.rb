# frozen_string_literal: true

module Basalt
  module Network
    module Sites
      # What is in a place, counted: rooms, racks and things.
      class Held
        # @param set [Model::WorkingSet, Model::PinnedSet, Change::Draft]
        # @param place [Model::Element]
        def initialize(set, place)
          @counts = Hash.new(0)
          count(set, place.id)
        end

        # @return [String] such as +2 rooms, 5 racks, 31 things+
        def words
          [["room", "rooms"], ["rack", "racks"], ["thing", "things"]].filter_map do |noun, _|
            English.count(@counts[noun], noun) if @counts[noun].positive?
          end.join(", ")
        end

        private

        def count(set, id)
          set.contents_within(id).each do |inner|
            @counts[inner.kind == "device" ? "thing" : inner["level"]] += 1 if %w[device place].include?(inner.kind)
          end
        end
      end
    end
  end
end
