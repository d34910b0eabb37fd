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
        rows = effect.on(:elements).flat_map { |delta| [delta.before, delta.after] }.compact
        placed =
          effect
            .on(:placements)
            .select { |delta| delta.before.nil? || delta.after.nil? }
            .map { |delta| (delta.after || delta.before).element_id }
        new(kinds: effect.kinds | kinds, rows:, placed:)
      end

      attr_reader :kinds, :rows, :placed

      # @param rows [Array<Model::Element>] as they were and as they are
      # @param placed [Array<String>] ids of what came to a sheet, or went from one
      def initialize(kinds: [], rows: [], placed: [])
        @kinds = kinds
        @rows = rows
        @placed = placed
      end

      def +(other) = Touched.new(kinds: kinds | other.kinds, rows: rows + other.rows, placed: placed + other.placed)

      # Worked out when it is asked for: of large acts it is much, and nobody may ask.
      #
      # @return [Array<String>] of the elements touched, of what these are in or part of, and of what they join
      def ids = @ids ||= rows.flat_map { |row| [row.id, row.owner_id, row.container_id, *row.targets] }.compact.concat(placed).uniq

      # @return [Array<Array(Symbol, Object)>] indexes, and keys under which something touched is or was found there
      def twins = @twins ||= rows.flat_map { |row| found_under(row) }.uniq

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

      def found_under(row) = [*([[:name, row.name]] if row.name), *row.indexed.map { |pair| [:fact, pair] }]
      def touched(set) = twins.each_with_object(Set.new(ids)) { |(index, key), found| found.merge(set.elements.ids_by(index, key)) }

      # An element's owner and parts, what it joins and what is joined to it.
      def beside(set, id)
        element = set.element(id) or return []
        [element.owner_id, *element.targets, *set.elements.ids_by(:owner, id), *set.elements.ids_by(:target, id)].compact
      end
    end
  end
end
