# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # The port schedule: every cable with what stands at both its ends, in the order in which somebody walks from unit to unit.
      class Schedule
        HEADINGS = ["from", "from port", "from place", "to", "to port", "to place", "medium", "speed", "length in m", "label", "bundle",
                    "vlans", "state"].freeze
        UNDECIDED = "not decided"

        # One cable: the ends in the order of the schedule.
        Row = Value.of(:cable, :ends)

        # @param set [Model::WorkingSet, Change::Draft]
        # @param unit_id [String, nil] of one unit whose cables are told alone, from its side
        def initialize(set, unit_id: nil)
          @set = set
          @unit_id = unit_id
        end

        # @return [Array<Row>]
        def rows = @rows ||= sorted

        # @param text [String] part of the name of a unit; all where it is empty
        # @return [Array<Row>] the cables that end at such
        def rows_at(text)
          text = text.to_s.strip.downcase
          text.empty? ? rows : rows.select { |row| row.ends.any? { |one| name(one).downcase.include?(text) } }
        end

        # @param row [Row]
        # @param short [Boolean] whether of the places only the innermost is told
        # @return [Array<String, Integer, nil>] in the order of HEADINGS
        def cells(row, short: false)
          cable = row.cable
          [
            *row.ends.flat_map { |one| [name(one), port(one), short ? places(one).last : places(one).join(", ")] },
            cable["medium"] || UNDECIDED,
            cable["circuit"] || cable["speed"] || UNDECIDED,
            cable["length"],
            cable["label"],
            cable["bundle"],
            vlans(row),
            state(cable)
          ]
        end

        # @return [String]
        def csv = Formats::CSV.write([HEADINGS, *rows.map { |row| cells(row) }])

        # What is printed for both ends of a cable, two lines each: where it is plugged in, and where it leads. Nothing sticks on radio.
        #
        # @return [Array<Array(String, String)>]
        def labels
          rows.reject { |row| row.cable["medium"] == "radio" }.flat_map do |row|
            here, there = row.ends.map { |one| [name(one), one.facts["port"]].compact.join(" ") }
            [[here, there], [there, here]].map { |one, other| [[row.cable["label"], one].compact.join(" "), "to #{other}"] }
          end
        end

        # @return [Purchases] what there is to buy for it
        def purchases = Purchases.new(@set, rows.map(&:cable))

        # @return [String, nil] what both ends carry, where that is said and the same only once
        def vlans(row)
          told = row.ends.map { |one| Vlans.told(one) }
          told.uniq.length == 1 ? told.first : told.map { |words| words || "anything" }.join(" / ")
        end

        def state(cable)
          return "laid" if cable["laid"]

          cable["planned"] ? "planned" : "to be laid"
        end

        private

        def sorted
          cables = @unit_id ? @set.relations_of(@unit_id, "link") : @set.of_kind("link")
          rows = cables.map { |cable| Row.new(cable:, ends: ends(cable)) }
          rows.sort_by { |row| [*row.ends.map { |one| order(one) }, row.cable.ordinal] }
        end

        # A unit's own end first; otherwise that which comes first by name.
        def ends(cable)
          pair = cable.ends.values_at(0, -1)
          return pair.sort_by { |one| one.target_id == @unit_id ? 0 : 1 } if @unit_id && cable.targets.uniq.length == 2

          pair.sort_by { |one| order(one) }
        end

        def order(one) = [key(name(one)), key(one.facts["port"])]

        # Each text is cut up once.
        def key(text) = (@keys ||= {})[text] ||= NaturalOrder.key(text)
        def name(one) = @set.element(one.target_id).name

        # What has no ports of its own has none to decide.
        def port(one) = one.facts["port"] || (@set.element(one.target_id).kind == "device" ? UNDECIDED : nil)

        # @return [Array<String>] the places it stands in, from the outside in
        def places(one)
          (@places ||= {})[one.target_id] ||= [].tap do |names|
            at = @set.element(one.target_id).container_id
            while at
              names.unshift(@set.element(at).name)
              at = @set.element(at).container_id
            end
          end
        end
      end
    end
  end
end
