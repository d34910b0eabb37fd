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

      # @param fact [String] an indexed one
      # @return [Array<String>] what something touched has or had for it
      def values(fact) = twins.filter_map { |index, key| key.last if index == :fact && key.first == fact }

      # @return [Array<String>] what something touched is or was called
      def names = twins.filter_map { |index, key| key if index == :name }

      # @param set [Object] the same whenever it is asked for
      # @return [Set<String>] ids of the elements touched, and of those at most so many steps from them
      def around(set, steps)
        @rings ||= [touched(set)]
        @rings << @rings.last.flat_map { |id| [id, *beside(set, id)] }.to_set while @rings.length <= steps
        @rings[steps]
      end

      private

      def touched(set) = twins.each_with_object(Set.new(ids)) { |(index, key), found| found.merge(set.elements.ids_by(index, key)) }

      # An element's owner and parts, what it joins and what is joined to it.
      def beside(set, id)
        element = set.element(id) or return []
        [element.owner_id, *element.targets, *set.elements.ids_by(:owner, id), *set.elements.ids_by(:target, id)].compact
      end
    end
  end
end
