# frozen_string_literal: true

module Basalt
  module Checks
    # What acts altered, as far as checks have to look again: kinds, and the elements with what they were joined to before and
    # are now. Acts are put together with +.
    class Touched
      # Where to look for what has the same name or value as something had or has.
      TWINS = %i[name fact].freeze

      # @param effect [Change::Effect]
      # @param kinds [Array<String>] that were touched beside those of the elements
      # @return [Touched]
      def self.by(effect, kinds: [])
        rows = effect.on(:elements).flat_map { |delta| [delta.before, delta.after].compact }
        placed =
          effect
            .on(:placements)
            .select { |delta| delta.before.nil? || delta.after.nil? }
            .map { |delta| (delta.after || delta.before).element_id }
        ids = rows.flat_map { |row| [row.id, row.owner_id, row.container_id, *row.targets] }.compact + placed
        new(kinds: effect.kinds | kinds, ids: ids.uniq, twins: rows.flat_map { |row| twins(row) }.uniq)
      end

      def self.twins(row) = [*([:name, row.name] if row.name), *row.indexed.flat_map { |pair| [:fact, pair] }].each_slice(2).to_a

      attr_reader :kinds, :ids, :twins

      def initialize(kinds: [], ids: [], twins: [])
        @kinds = kinds
        @ids = ids
        @twins = twins
      end

      def +(other) = Touched.new(kinds: kinds | other.kinds, ids: ids | other.ids, twins: twins | other.twins)

      # @return [Array<Set<String>>] ids of the elements touched, those one step from them, and those two steps from them
      def around(set)
        @around ||=
          begin
            near = Set.new(ids)
            twins.each { |index, key| near.merge(set.elements.ids_by(index, key)) }
            2.times.each_with_object([near]) { |_, rings| rings << rings.last.flat_map { |id| [id, *beside(set, id)] }.to_set }
          end
      end

      private

      # An element's owner and parts, what it joins and what is joined to it.
      def beside(set, id)
        element = set.element(id) or return []
        [element.owner_id, *element.targets, *set.elements.ids_by(:owner, id), *set.elements.ids_by(:target, id)].compact
      end
    end
  end
end
