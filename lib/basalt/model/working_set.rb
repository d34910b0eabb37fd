# frozen_string_literal: true

module Basalt
  module Model
    # The part of a project that work is done on: elements, sheets and placements as they
    # stood at one version.
    class WorkingSet
      include Queries

      def initialize(project: nil, version: 0)
        @project = project
        @version = version
        @elements = Table.new(INDEXES[:elements])
        @sheets = Table.new(INDEXES[:sheets])
        @placements = Table.new(INDEXES[:placements])
      end

      attr_reader :elements, :sheets, :placements, :project, :version

      def table(name) = public_send(name)

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
