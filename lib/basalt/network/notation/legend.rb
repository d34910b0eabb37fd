# frozen_string_literal: true

module Basalt
  module Network
    module Notation
      # What occurs on a sheet, in words.
      class Legend
        LINES = { line: "link", circuit: "circuit", fibre: "fibre", radio: "radio", coax: "coax", planned_line: "planned line" }.freeze

        def initialize(notation, set, sheet_id)
          @notation = notation
          @set = set
          @sheet_id = sheet_id
        end

        # @return [Array<Array(String, Symbol, Object)>]
        def entries = buses + attached + links + outlines + undecided + seams

        private

        def things = @things ||= @set.things_on(@sheet_id)
        def lines = @lines ||= @notation.lines_on(@set, @sheet_id)
        def subnets = things.select { |thing| thing.kind == "subnet" }

        def buses
          found = []
          found << ["subnet", :pen, :bus] if subnets.any? { |s| !s["planned"] }
          found << ["planned subnet", :pen, :planned_bus] if subnets.any? { |s| s["planned"] }
          found
        end

        def attached
          lines.any? { |l| l.kind == "attachment" && !l["planned"] } ? [["attached", :pen, :line]] : []
        end

        def links
          plain = attached.any? ? %i[line] : []
          found = lines.map { |line| [line.kind, @notation.pen(line)] }.uniq.map(&:last).uniq
          wires = lines.select { |l| l.kind == "link" }.map { |l| @notation.pen(l) }.uniq
          found.select { |pen| pen == :planned_line || wires.include?(pen) }.reject { |pen| plain.include?(pen) && !wires.include?(pen) }
               .map { |pen| [LINES.fetch(pen), :pen, pen] }
        end

        def outlines
          found = []
          found << ["planned", :box, :planned] if things.any? { |t| t["planned"] && t.kind == "device" && !t.assumed }
          found << ["assumed", :box, :assumed] if things.any? { |t| t.assumed && t.kind != "subnet" }
          found
        end

        def undecided
          lines.any? { |l| l.kind == "attachment" && l["address"].nil? } ? [["address not decided", :text, "?"]] : []
        end

        def seams
          things.select { |t| t.kind == "device" }.map { |t| @notation.seam(t) }.uniq.filter_map do |seam|
            [Logical::SEAM_WORDS[seam], :seam, seam] if Logical::SEAM_WORDS.key?(seam)
          end
        end
      end
    end
  end
end
