# frozen_string_literal: true

module Basalt
  module Network
    module Notation
      # What can occur on a logical network sheet, in words.
      module Legend
        SEAMS = { slate: "switching", ochre: "routing", rust: "guarding", lichen: "serving", tide: "storing", amethyst: "people" }.freeze

        ENTRIES = [
          ["subnet", :pen, :bus, :bus],
          ["planned subnet", :pen, :planned_bus, :planned_bus],
          ["attached", :pen, :line, :attached],
          ["link", :pen, :line, :line],
          ["circuit", :pen, :circuit, :circuit],
          ["fibre", :pen, :fibre, :fibre],
          ["radio", :pen, :radio, :radio],
          ["coax", :pen, :coax, :coax],
          ["planned line", :pen, :planned_line, :planned_line],
          ["planned", :box, :planned, :planned],
          ["assumed", :box, :assumed, :assumed],
          ["address not decided", :text, "?", :undecided],
          *SEAMS.map { |seam, words| [words, :seam, seam, seam] }
        ].freeze

        module_function

        # @return [Array<Symbol>] of ENTRIES
        def marks(notation, element)
          case element.kind
          when "subnet"
            [element["planned"] ? :planned_bus : :bus]
          when "attachment"
            [element["planned"] ? :planned_line : :attached, *(:undecided unless element["address"])]
          when "link"
            [notation.pen(element)]
          else
            thing_marks(notation, element)
          end
        end

        # @return [Symbol] the pen of a thing's outline
        def outline(thing)
          return :assumed if thing.assumed

          thing["planned"] ? :planned : :outline
        end

        def thing_marks(notation, thing)
          [outline(thing).then { |pen| pen unless pen == :outline }, (notation.seam(thing) if thing.kind == "device")].compact
        end
      end
    end
  end
end
