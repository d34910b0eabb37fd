# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # The symbols and lines of UML as the legend shows them.
      module Samples
        WIDE = 34
        S = Drawing::Shapes
        ENDS = Drawing::LineEnds

        module_function

        # @yieldparam points [Array] the line from left to right
        # @yieldreturn [Array] shapes at its ends
        def line(pen = :line, &) = ->(x, y) { [[x, y], [x + WIDE, y]].then { |points| [S.polyline(points, pen), *yield(points)] } }

        def folder = ->(x, y) { [S.rect(x + 5, y - 4, 24, 12, :outline), S.rect(x + 5, y - 8, 11, 4, :outline)] }

        def oval = ->(x, y) { [S.path("M#{S.numbers(x + 2, y)}a15 8 0 1 0 30 0a15 8 0 1 0 -30 0Z", :outline)] }

        # @param nature [String]
        def actor(nature)
          ->(x, y) do
            box = Layout::Box.new(x: x + 5, y: y - 12, w: 24, h: 24)
            case nature
            when "system" then [S.rect(x + 5, y - 8, 24, 16, :outline), S.text(x + 17, y + 3, "«»", :caption, :middle)]
            when "time" then [S.path("#{S.data([[x + 11, y - 8], [x + 23, y - 8], [x + 11, y + 8], [x + 23, y + 8]])}Z", :outline)]
            else person(box)
            end
          end
        end

        def person(box)
          x, y = box.cx, box.y + 4
          limbs = [[[x, y + 6], [x, y + 11]], [[x - 5, y + 8], [x + 5, y + 8]], [[x - 4, y + 16], [x, y + 11], [x + 4, y + 16]]]
          head = S.path("M#{S.numbers(x - 3, y + 3)}a3 3 0 1 0 6 0a3 3 0 1 0 -6 0Z", :outline)
          [head, *limbs.map { |points| S.polyline(points, :inner) }]
        end

        def component = ->(x, y) { [S.rect(x + 3, y - 8, 28, 16, :outline), *ComponentBox.sign(x + 15, y - 7)] }
        def ball = ->(x, y) { [S.path("M#{S.numbers(x + 10, y)}a7 7 0 1 0 14 0a7 7 0 1 0 -14 0Z", :outline)] }
        def outside = ->(x, y) { [S.rect(x + 5, y - 8, 24, 16, :outline)] }

        def socket
          ->(x, y) do
            arc = S.path("M#{S.numbers(x + 26, y - 8)}A8 8 0 0 0 #{S.numbers(x + 26, y + 8)}", :inner)
            [S.polyline([[x, y], [x + 18, y]], :line), arc]
          end
        end

        def comment
          ->(x, y) do
            [S.path("M#{S.numbers(x + 4, y - 8)}h18l6 6v10h-24Z", :outline), S.path("M#{S.numbers(x + 22, y - 8)}v6h6", :rule)]
          end
        end

        def boundary = ->(x, y) { [S.rect(x + 2, y - 8, 30, 16, :boundary)] }

        GENERAL = ["kind of", :shapes, line { |points| [ENDS::Triangle.path(points.reverse)] }].freeze
        COMMENT = ["comment", :shapes, comment, :comment].freeze
        PACKAGE = ["package", :shapes, folder, :package].freeze
        DEPENDENCY = ["depends on", :shapes, line(:planned_line) { |points| [ENDS::OpenArrow.path(points.reverse)] }, :dependency].freeze
        REALISATION = ["realises", :shapes, line(:planned_line) { |points| [ENDS::Triangle.path(points.reverse)] }, :realisation].freeze

        CLASSES = [
          ["public", :text, "+", "+"],
          ["private", :text, "-", "-"],
          ["protected", :text, "#", "#"],
          ["within the package", :text, "~", "~"],
          ["derived", :text, "/", "/"],
          ["linked to", :shapes, line { [] }, :association],
          ["shared parts", :shapes, line { |points| [ENDS::Diamond.path(points, filled: false)] }, :aggregation],
          ["parts of its own", :shapes, line { |points| [ENDS::Diamond.path(points, filled: true)] }, :composition],
          [*GENERAL, :generalisation],
          REALISATION,
          DEPENDENCY,
          PACKAGE,
          COMMENT
        ].freeze

        COMPONENTS = [
          ["component", :shapes, component, :component],
          ["interface", :shapes, ball, :class],
          ["provides", :shapes, line { [] }, :provision],
          ["requires", :shapes, socket, :need],
          ["passes", :shapes, line { |points| ENDS::Arrow.shape(points) }, :exchange],
          DEPENDENCY,
          ["outside", :shapes, outside, :outside],
          PACKAGE,
          COMMENT
        ].freeze

        USE_CASES = [
          ["actor", :shapes, actor("person"), :actor],
          ["actor that is a system", :shapes, actor("system"), :"system actor"],
          ["time", :shapes, actor("time"), :"time actor"],
          ["use case", :shapes, oval, :"use case"],
          ["system", :shapes, boundary, :system],
          PACKAGE,
          ["takes part", :shapes, line { [] }, :involvement],
          ["includes", :shapes, line(:planned_line) { |points| [ENDS::OpenArrow.path(points.reverse)] }, :inclusion],
          ["extends", :shapes, line(:planned_line) { |points| [ENDS::OpenArrow.path(points.reverse)] }, :extension],
          [*GENERAL, :generalisation],
          COMMENT
        ].freeze
      end
    end
  end
end
