# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # A place in the order of an interaction: in it or in a branch, behind an item or, without one, before all others.
      Spot =
        Value.of(:container_id, :before_id) do
          # @return [Boolean] whether it still is
          def there?(set) =
            !set.element(container_id.to_s).nil? && (before_id.nil? || set.element(before_id)&.container_id == container_id)

          # @param moved [Array<String>] ids of items that do not count
          # @return [Cursor]
          # @raise [Mistake] where it is not there any more
          def cursor(draft, moved = [])
            raise Refusals::Gone, "the place" unless draft.element(container_id.to_s)

            items = Course.within(draft, container_id).reject { |one| moved.include?(one.id) }
            at = before_id ? items.index { |one| one.id == before_id } : nil
            raise Refusals::Gone, "what stood before the place" if before_id && at.nil?

            following = items[at ? at + 1 : 0]
            Cursor.new(draft, container_id, at && Change::Reorder.key(items[at]), following && Change::Reorder.key(following))
          end
        end
    end
  end
end
