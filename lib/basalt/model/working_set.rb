# frozen_string_literal: true

module Basalt
  module Model
    # The part of a project that work is done on: elements, sheets, placements and waivers as they
    # stood at one version.
    class WorkingSet
      include Queries

      def initialize(project: nil, version: 0)
        @project = project
        @version = version
        @tables = RowTypes::ALL.transform_values { |type| Table.new(type.indexes) }
      end

      attr_reader :project, :version

      def table(name) = @tables.fetch(name)

      RowTypes.tables.each { |name| define_method(name) { @tables[name] } }

      # Ordinals that new rows are above: no two acts give the same, whatever went in between.
      def ordinal_floor = version << 20

      # Takes in what a draft made, and becomes the set at that version.
      # @param effect [Change::Effect]
      def advance(effect, version: @version + 1)
        effect.deltas.each do |delta|
          delta.after ? table(delta.table).put(delta.after) : table(delta.table).delete(delta.id)
        end
        @project = effect.project if effect.project
        @version = version
        self
      end
    end
  end
end
