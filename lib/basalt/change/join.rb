# frozen_string_literal: true

module Basalt
  module Change
    # Joins two things by a relation that is allowed between them, whichever of them stands
    # at which end.
    Join = Value.of(:one_id, :other_id, :kind, :id) do
      # @param kinds [Array<String>] the kinds of relation to look among
      # @return [Array<String>] those that can join the two
      def self.possible(set, one_id, other_id, kinds)
        kinds.select { |kind| new(one_id:, other_id:, kind:).roles(set) }
      end

      def apply(draft)
        roles = roles(draft) or raise Mistake, "a #{kind} cannot join #{draft.element(one_id).name} and #{draft.element(other_id).name}"
        description = Model::Catalogue.kind(kind)
        Add.new(kind:, name: description.default_names[kind], ends: roles, id: id || draft.new_id).apply(draft)
      end

      # @return [Array<Array(String, String)>, nil] role and target of both ends
      def roles(set)
        one, other = [one_id, other_id].map { |wanted| set.element(wanted) or raise Refusals::Gone, "one of the two" }
        (first, starts), (second, arrives) = Model::Catalogue.kind(kind).ends.first(2)
        return if second.nil?
        return [[first, one.id], [second, other.id]] if starts.include?(one.kind) && arrives.include?(other.kind)

        [[first, other.id], [second, one.id]] if starts.include?(other.kind) && arrives.include?(one.kind)
      end
    end
  end
end
