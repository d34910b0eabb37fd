# frozen_string_literal: true

module Web
  module Presenters
    # The steps of a derivation, by what they do.
    module StepGroups
      Group = Basalt::Value.of(:title, :steps, :kept, :ticked)
      TITLES = { add: "Added", alter: "Altered", drop: "Dropped", keep: "Refined, and kept" }.freeze

      # @param careful [Boolean] whether what would be dropped is not ticked beforehand
      # @return [Array<Group>]
      def self.of(steps, careful:)
        parted = steps.group_by(&:act)
        TITLES.filter_map do |act, title|
          parted[act] && Group.new(title:, steps: parted[act], kept: act == :keep, ticked: !(careful && act == :drop))
        end
      end
    end
  end
end
