# frozen_string_literal: true

module Basalt
  module Cloud
    # Every resource of a project as a row, with a column for each further fact that any of them has.
    class ResourceTable
      COLUMNS = %w[name service in zone address public groups].freeze
      # Columns of further facts; those that fewest have are left out beyond.
      MOST = 60

      # @param set [Model::WorkingSet, Model::PinnedSet, Change::Draft]
      def initialize(set)
        @set = set
        @resources = set.of_kind(Kinds::RESOURCE)
        @details = @resources.to_h { |one| [one.id, Details.read(one["details"])] }
      end

      # @return [String]
      def csv = Formats::CSV.write([COLUMNS + facts, *@resources.map { |one| row(one) }])

      private

      def facts = @facts ||= @details.values.flat_map(&:keys).tally.sort_by { |name, count| [-count, name] }.first(MOST).map(&:first)

      def row(one)
        place = one.container_id && @set.element(one.container_id)&.name
        own = [one.name, one["service"], place, one["zone"], one["address"], ("yes" if one["public"]), groups(one)]
        own + facts.map { |name| @details[one.id][name] }
      end

      def groups(one)
        lines = @set.relations_of(one.id, "membership").select { |line| line.target("member") == one.id }
        lines.map { |line| @set.element(line.target("group")).name }.join(", ")
      end
    end
  end
end
