# frozen_string_literal: true

module Web
  module Families
    module Brief
      module Presenters
        # What meets which requirement, and what meets none.
        class CoveragePage
          # How many of one thing a row, or a list, tells.
          NAMES = 6
          OUTSIDE = 200
          Row = Basalt::Value.of(:number, :text, :met_by, :cells)
          private_constant :NAMES, :OUTSIDE

          # @param coverage [Basalt::Brief::Coverage]
          def initialize(set, coverage)
            @set = set
            @coverage = coverage
          end

          def empty? = @coverage.requirements.empty?
          def wanted = @coverage.wanted.length
          def things = @coverage.things.length
          def requirements_share = @coverage.requirements_share
          def things_share = @coverage.things_share
          def sheets = @coverage.sheets
          def accounting = @coverage.accounting

          # @return [Array<Array(String, String, String)>] number, what is asked for, and how it stands
          def unmet = @coverage.unmet.map { |one| [one.name, one["text"], [one["priority"], one["state"]].compact.join(", ")] }

          def outside_count = @coverage.outside.length

          # @return [Array<Array(Basalt::Model::Element, String)>] things with the sheet they are on
          def outside = @coverage.outside.first(OUTSIDE).map { |thing| [thing, @set.sheets_of(thing.id).first] }

          # @return [Array<Row>] how many things on each sheet meet a requirement
          def rows
            @coverage.requirements.map do |one|
              met_by = @coverage.met_by(one.id).map { |thing| @coverage.title(thing) }.first(NAMES)
              Row.new(number: one.name, text: one["text"], met_by:, cells: sheets.map { |sheet| @coverage.cell(one, sheet) })
            end
          end

          # @return [Array<Float>] of the things on each sheet
          def shares = sheets.map { |sheet| @coverage.things_share(sheet) }
        end
      end
    end
  end
end
