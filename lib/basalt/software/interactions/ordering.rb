# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # Brings what stands in order in an interaction or a branch into another order; as few as can be get another key.
      class Ordering
        def initialize(draft, container_id)
          @draft = draft
          @container_id = container_id
        end

        # @param ids [Array<String>] in the order wanted; what stands elsewhere comes here. What is not named keeps its key
        def become(ids)
          coming = ids.reject { |id| @draft.element(id).container_id == @container_id }
          coming.each { |id| @draft.put(:elements, @draft.element(id).with(container_id: @container_id)) }
          keys = ids.map { |id| Change::Reorder.key(@draft.element(id)) }
          staying = coming.empty? ? rising(keys) : rising(keys) - ids.each_index.select { |index| coming.include?(ids[index]) }
          return if staying.length == ids.length

          between(ids, keys, staying.to_set) || afresh(ids)
        end

        private

        # @return [Array<Integer>] places of a longest run of keys that rise
        def rising(keys)
          tails, before = [], []
          keys.each_with_index do |key, index|
            at = tails.bsearch_index { |tail| keys[tail] >= key } || tails.length
            before[index] = at.zero? ? nil : tails[at - 1]
            tails[at] = index
          end
          run = [tails.last].compact
          run.unshift(before[run.first]) while run.any? && before[run.first]
          run
        end

        # @return [Boolean] whether there were keys left
        def between(ids, keys, staying)
          last = nil
          found =
            ids.each_index.map do |index|
              next last = keys[index] if staying.include?(index)

              following = ((index + 1)...ids.length).find { |later| staying.include?(later) }
              last = spread(last, following && keys[following], following ? following - index : 1) or return false
            end
          ids.zip(found) { |id, key| set(id, key) }
          true
        end

        # The first of so many that come to stand there.
        def spread(last, following, count)
          return Change::OrderKey.between(last, following) unless last && following

          step = (following - last) / (count + 1)
          last + step if step.positive?
        end

        def afresh(ids) = ids.each_with_index { |id, index| set(id, (index + 1) * Change::OrderKey::ROOM) }

        def set(id, key)
          element = @draft.element(id)
          Change::Set.new(id:, fact: Kinds::PLACE, value: key.to_s).apply(@draft) unless Change::Reorder.key(element) == key && element[Kinds::PLACE]
        end
      end
    end
  end
end
