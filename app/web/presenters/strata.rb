# frozen_string_literal: true

module Web
  module Presenters
    # The levels of a project with their sheets, for the rail.
    module Strata
      Band = Basalt::Value.of(:name, :count, :groups, :lit, :passed)

      module_function

      # @param here [String, nil] the level that is looked at
      # @param passed [Array<Basalt::Model::Sheet>] that led there
      # @return [Array<Band>] +groups+: sheets by their notation
      def of(set, here, passed = [])
        sheets = set.sheet_list.group_by(&:band)
        Basalt::Model::Sheet::BANDS.map do |name|
          list = sheets.fetch(name, [])
          Band.new(name:, count: list.length, groups: list.group_by(&:notation_name), lit: name == here,
                   passed: passed.select { |sheet| sheet.band == name }.map(&:name))
        end
      end
    end
  end
end
