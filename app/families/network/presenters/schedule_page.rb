# frozen_string_literal: true

module Web
  module Families
    module Network
      module Presenters
        # The port schedule of a project, and what there is to buy.
        class SchedulePage
          # Cables that a page shows; the CSV has all.
          MOST = 2000

          # @param of [String, nil] part of the name of units, whose cables are shown alone
          def initialize(set, of = nil)
            @set = set
            @schedule = Basalt::Network::Cabling::Schedule.new(set)
            @of = of.to_s.strip
          end

          attr_reader :of

          def headings = @schedule.class::HEADINGS

          # @return [Array<Array(Basalt::Model::Element, Array)>] the cable and its cells
          def rows = found.first(MOST).map { |row| [row.cable, @schedule.cells(row, short: true)] }
          def count = found.length
          def all = whole.length
          def more = [count - MOST, 0].max
          def purchases = @purchases ||= @schedule.purchases
          def laid = whole.count { |row| row.cable["laid"] }

          # @return [String, nil] id of the unit at an end of a cable, where it has ports of its own
          def unit(cable, index) = ends(cable)[index].then { |one| @set.element(one.target_id).kind == "device" ? one.target_id : nil }

          private

          def whole = @schedule.rows
          def ends(cable) = whole_by_id.fetch(cable.id).ends
          def whole_by_id = @whole_by_id ||= whole.to_h { |row| [row.cable.id, row] }

          def found = @found ||= @schedule.rows_at(@of)
        end
      end
    end
  end
end
