# frozen_string_literal: true

module Basalt
  module Change
    # Brings one of several that are in order to another place among them. The fact by which their kind is ordered is
    # its key (see OrderKey); what has none yet stands where it was made.
    #
    # +ids+ are all of them in their order, +place+ counts from 1.
    Reorder = Value.of(:ids, :id, :place) do
      def apply(draft)
        moved = draft.element(id) or raise Refusals::Gone, "the row"
        fact = moved.description.ordered or raise Mistake, "a #{moved.kind} has no place among others"
        others = (ids - [id]).filter_map { |one| draft.element(one) }
        at = (place - 1).clamp(0, others.length)
        return if ids.index(id) == at

        keys = OrderKey.among(others.map { |one| self.class.key(one) }, at)
        rows = keys.one? ? [moved] : others.insert(at, moved)
        rows.zip(keys) { |row, key| Set.new(id: row.id, fact:, value: key.to_s).apply(draft) unless row[fact] == key }
      end

      # @return [Integer] by which an element is in order among others of its kind
      def self.key(element) = element[element.description.ordered] || element.ordinal
    end
  end
end
