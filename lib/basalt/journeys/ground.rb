# frozen_string_literal: true

module Basalt
  module Journeys
    # The sheets on which a journey is walked, and which parts its steps mean by their names.
    class Ground
      # @param set [Model::WorkingSet, Change::Draft]
      # @param lines [#call] gives the Lines of a sheet by its id
      def initialize(set, journey_id, lines)
        @set = set
        @lines = lines
        @sheet_ids = set.sheets_of(journey_id).select { |id| set.sheets[id] }
        @parts = {}
      end

      # @return [Array<String>]
      attr_reader :sheet_ids

      # @param name [String, nil]
      # @return [Model::Element, nil] what is called so: there, or else anywhere in the project
      def part(name)
        return unless name

        @parts.fetch(name) { @parts[name] = found(name) }
      end

      # @return [Boolean] whether something stands where the journey is walked
      def here?(element) = @sheet_ids.any? { |id| shown?(id, element.id) }

      # @return [Array<String>, nil] ids of the lines between two things on the first sheet where there are some; nil where the two are
      #   one; empty where nothing joins them
      def lines(from, to)
        return if from.id == to.id

        @sheet_ids.lazy.map { |id| @lines.call(id).between(from.id, to.id) }.find(&:any?) || []
      end

      # @return [String, nil] id of a sheet on which both stand
      def sheet_of(from, to) = @sheet_ids.find { |id| shown?(id, from.id) && shown?(id, to.id) }

      private

      def found(name)
        all = @set.named(name).reject { |one| one.relation? || one.description.figure }
        all.select { |one| here?(one) }.min_by(&:ordinal) || all.reject(&:owner_id).min_by(&:ordinal)
      end

      def shown?(sheet_id, id) = @set.shown?(sheet_id, id) || @set.shown_within?(sheet_id, id)
    end
  end
end
