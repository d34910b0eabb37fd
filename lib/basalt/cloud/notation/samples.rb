# frozen_string_literal: true

module Basalt
  module Cloud
    module Notation
      # What the legend of a cloud sheet can explain.
      module Samples
        S = Drawing::Shapes
        WIDE = 34
        SEAMS = { slate: "passing on", ochre: "ways in and out", rust: "guarding", lichen: "running", tide: "keeping",
                  amethyst: "people" }.freeze

        def self.line(pen, *ends)
          ->(x, y) do
            route = [[x, y], [x + WIDE, y]]
            [S.polyline(route, pen), *ends.flat_map { |place| Drawing::LineEnds::Arrow.shape(place == :end ? route : route.reverse) }]
          end
        end

        def self.frame(pen) = ->(x, y) { [S.rect(x + 3, y - 8, WIDE - 6, 16, pen)] }

        LEVELS = BoundaryBox::PENS.except("site").map { |level, pen| [level == "account" ? "account or site" : level, :shapes, frame(pen), pen] }

        ALL = [
          ["connects", :shapes, line(:line, :end), :connection],
          ["both ways", :shapes, line(:line, :start, :end), :both],
          ["allowed by rules", :shapes, line(:planned_line, :end), :taken],
          ["networks are joined", :pen, :circuit, :joined],
          *LEVELS,
          ["boundary", :shapes, frame(:boundary), :boundary],
          ["assumed", :box, :assumed, :assumed],
          *SEAMS.map { |seam, words| [words, :seam, seam, seam] }
        ].freeze

        # @return [Array<Symbol>] of ALL
        def self.marks(element)
          case element.kind
          when Kinds::CONNECTION then [connection(element)]
          when Kinds::BOUNDARY then [BoundaryBox.new(element).pen]
          when Kinds::RESOURCE then [*(:assumed if element.assumed), *Services::SEAMS[element["service"]]]
          else []
          end
        end

        def self.connection(line)
          return :taken if line["taken"] || line.assumed
          return :joined if line["verb"] == Verbs::JOINED

          line["both"] ? :both : :connection
        end
      end
    end
  end
end
