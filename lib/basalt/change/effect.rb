# frozen_string_literal: true

module Basalt
  module Change
    # What a draft comes to: rows before and after, and from them the way back.
    Effect = Value.of(:deltas, :project) do
      def initialize(deltas:, **)
        @by_table = deltas.group_by(&:table).tap { |found| found.default = [].freeze }
        super
      end

      def empty? = deltas.empty? && project.nil?
      def inverse = Revert.new(deltas: deltas.map(&:inverse).reverse)
      def on(table) = @by_table[table]

      # @return [Array<String>] kinds of the elements made, altered or struck
      def kinds = on(:elements).flat_map { |d| [d.before&.kind, d.after&.kind] }.compact.uniq
    end
  end
end
