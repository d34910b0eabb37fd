# frozen_string_literal: true

module Basalt
  module Journeys
    # Which things of a sheet its lines join, in either direction: who is asked answers the same way. What only passes on, as an interface
    # between who requires and who provides it, is passed through.
    class Lines
      # @param set [Model::WorkingSet, Change::Draft]
      def initialize(set, sheet_id)
        @set = set
        @sheet_id = sheet_id
        @notation = set.sheets[sheet_id].notation
        @joined = Hash.new { |table, id| table[id] = [] }
        @notation.lines_on(set, sheet_id).each { |line| join(line) }
      end

      # @return [Array<String>] ids of all lines
      def all = @joined.each_value.flat_map { |pairs| pairs.map(&:last) }.uniq

      # @return [Array<String>] ids of the lines from one thing to another, one or two of them; empty where there is no such way
      def between(one, other)
        @joined.fetch(one, []).find { |id, _| id == other }&.then { |_, line| return [line] }

        @joined.fetch(one, []).each do |id, line|
          next unless passes_on?(id)

          beyond = @joined.fetch(id, []).find { |far, _| far == other }
          return [line, beyond.last] if beyond
        end
        []
      end

      private

      def join(line)
        ends = line.endpoints.map { |id| shown(id) }
        return if ends.any?(&:nil?)

        @joined[ends.first] << [ends.last, line.id]
        @joined[ends.last] << [ends.first, line.id]
      end

      # A part is shown with what it belongs to.
      def shown(id)
        id = @set.element(id)&.owner_id until id.nil? || @set.shown?(@sheet_id, id)
        id
      end

      def passes_on?(id) = @notation.passes_on?(@set.element(id))
    end
  end
end
