# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # What a legend of interactions explains.
      module SequenceSamples
        ENDS = Drawing::LineEnds
        S = Drawing::Shapes
        K = Interactions::Kinds

        def self.frame(tag) = ->(x, y) { [S.rect(x + 2, y - 8, 30, 16, :inner), S.text(x + 6, y + 4, tag, :caption)] }

        def self.dot(from)
          ->(x, y) do
            at = from ? x + 4 : x + 30
            points = [[x + 4, y], [x + 30, y]]
            [S.polyline(points, :line), S.path("M#{S.numbers(at - 3, y)}a3 3 0 1 0 6 0a3 3 0 1 0 -6 0Z", :bar),
             *(from ? [ENDS::OpenArrow.path(points.reverse)] : [])]
          end
        end

        ALL = [
          ["asks", :shapes, Samples.line { |points| ENDS::Arrow.shape(points) }, K::CALL.to_sym],
          ["tells", :shapes, Samples.line { |points| [ENDS::OpenArrow.path(points.reverse)] }, K::ASYNCHRONOUS.to_sym],
          ["answers", :shapes, Samples.line(:planned_line) { |points| [ENDS::OpenArrow.path(points.reverse)] }, K::ANSWER.to_sym],
          ["from nobody known", :shapes, dot(true), K::FOUND.to_sym],
          ["nobody gets it", :shapes, dot(false), K::LOST.to_sym],
          *{ K::EITHER => "one of several ways", K::OPTION => "only if", K::LOOP => "again and again", K::PARALLEL => "at the same time",
             K::BREAK => "instead of the rest", K::REFERENCE => "another interaction" }.map do |operator, words|
            [words, :shapes, frame(SequenceFrame::TAGS.fetch(operator)), operator.to_sym]
          end
        ].freeze
      end
    end
  end
end
