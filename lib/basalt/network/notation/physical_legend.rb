# frozen_string_literal: true

module Basalt
  module Network
    module Notation
      # What can occur on a physical network sheet, in words.
      module PhysicalLegend
        MEDIA = {
          "copper" => :line,
          "fibre" => :fibre,
          "multimode fibre" => :multimode,
          "single-mode fibre" => :single_mode,
          "coax" => :coax,
          "radio" => :radio
        }.freeze

        # A circuit as it is drawn.
        CIRCUIT = ->(x, y) { %i[double between].map { |pen| Drawing::Shapes.polyline([[x, y], [x + 34, y]], pen) } }

        # How cables are told apart.
        CABLES = [
          *MEDIA.flat_map { |words, pen| [[words, :pen, pen, pen], ["#{words}, 10G and more", :pen, :"fast_#{pen}", :"fast_#{pen}"]] },
          ["power", :pen, :power, :power],
          ["circuit of a carrier", :shapes, CIRCUIT, :circuit]
        ].freeze

        ENTRIES = [
          *CABLES,
          ["somebody else's side begins", :pen, :border, :border],
          ["medium not decided", :pen, :open_line, :open_line],
          ["port not decided", :text, Physical::UNDECIDED, :undecided],
          ["planned", :box, :planned, :planned],
          ["assumed", :box, :assumed, :assumed],
          *Legend::SEAMS.map { |seam, words| [words, :seam, seam, seam] }
        ].freeze

        module_function

        # @return [Array<Symbol>] of ENTRIES that a thing bears
        def marks(notation, thing) = Legend.thing_marks(notation, thing)
      end
    end
  end
end
