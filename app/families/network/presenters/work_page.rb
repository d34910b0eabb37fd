# frozen_string_literal: true

module Web
  module Families
    module Network
      module Presenters
        # What is ticked off while cabling: cable by cable, in the order in which somebody walks.
        class WorkPage
          MOST = 1000
          # One cable: what stands at its ends, and what it is.
          Line = Basalt::Value.of(:id, :from, :to, :what, :laid)

          def initialize(set, of = nil)
            @set = set
            @of = of.to_s.strip
            @schedule = Basalt::Network::Cabling::Schedule.new(set)
          end

          attr_reader :of

          # @return [Array<Line>]
          def lines
            shown.first(MOST).map do |row|
              from, to = row.ends.map { |one| [@set.element(one.target_id).name, one.facts["port"]].compact.join(" ") }
              Line.new(id: row.cable.id, from:, to:, what: what(row.cable), laid: row.cable["laid"] == true)
            end
          end

          def more = [shown.length - MOST, 0].max

          # @return [String] how many are still to be laid
          def left
            left = rows.count { |row| !row.cable["laid"] }
            left.zero? ? "All #{Basalt::English.count(rows.length,
                                                      "cable")} are laid." : "#{left} of #{Basalt::English.count(rows.length,
                                                                                                                 "cable")} to be laid."
          end

          def empty? = rows.empty?

          private

          # A circuit is laid by its carrier.
          def laid_here(rows) = rows.reject { |row| row.cable["circuit"] }
          def rows = @rows ||= laid_here(@schedule.rows)
          def shown = @shown ||= laid_here(@schedule.rows_at(@of))

          def what(cable)
            [cable["medium"], cable["speed"], *("#{cable["length"]} m" if cable["length"]), cable["label"]].compact.join(", ")
          end
        end
      end
    end
  end
end
