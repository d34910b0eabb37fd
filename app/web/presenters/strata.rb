# frozen_string_literal: true

module Web
  module Presenters
    # The levels of a project with their sheets, for the rail.
    module Strata
      Band = Basalt::Value.of(:name, :count, :groups, :lit)

      module_function

      # @param here [String, nil] the level that is looked at
      # @return [Array<Band>] +groups+: sheets by their notation
      def of(set, here)
        sheets = set.sheet_list.group_by(&:band)
        Basalt::Model::Sheet::BANDS.map do |name|
          list = sheets.fetch(name, [])
          Band.new(name:, count: list.length, groups: list.group_by(&:notation_name), lit: name == here)
        end
      end
    end
  end
end
