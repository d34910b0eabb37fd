# frozen_string_literal: true

module Web
  module Presenters
    # What a sheet could show and does not.
    class NotPlaced
      MOST = 50

      # @return [Array<String>] kinds of things that can be placed on a sheet; none where a place says something
      def self.kinds(notation)
        return [] if notation.ruled?

        notation.things.reject { |kind| Basalt::Model::Catalogue.kinds[kind].then { |one| one.nil? || one.figure || one.local } }
      end

      # @param query [String] part of a name
      def initialize(set, sheet, query = "")
        @set = set
        @sheet = sheet
        @query = query.strip.downcase
      end

      # @return [Integer] how many there are, whatever is looked for
      def count = @count ||= kinds.sum { |kind| @set.elements.ids_by(:kind, kind).count { |id| !shown?(id) && drawn?(id) } }

      # @return [Array<Basalt::Model::Element>] the first by name
      def things = found.first(MOST)
      def more = [found.length - MOST, 0].max

      # @return [String, nil] what it is in
      def place(thing) = thing.container_id && @set.element(thing.container_id)&.name

      private

      def kinds = NotPlaced.kinds(@sheet.notation)
      def shown?(id) = @set.shown?(@sheet.id, id)
      def drawn?(id) = @sheet.notation.draws?(@set.element(id))

      def found
        @found ||= begin
          ids = kinds.flat_map { |kind| @set.elements.ids_by(:kind, kind).to_a }.reject { |id| shown?(id) }
          named = ids.map { |id| @set.element(id) }.select { |one| one.name&.downcase&.include?(@query) }
          named.select { |one| @sheet.notation.draws?(one) }.sort_by { |one| [one.name.downcase, one.ordinal] }
        end
      end
    end
  end
end
