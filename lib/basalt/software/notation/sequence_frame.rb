# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # A fragment drawn: a frame with its operator in the corner, the condition of each branch, and a dashed line between two (UML
      # 2.5.1, 17.6.4); a reference with what it refers to (17.7.4).
      class SequenceFrame
        S = Drawing::Shapes
        P = Drawing::Pens
        K = Interactions::Kinds
        # As the standard writes the operators.
        TAGS = { K::EITHER => "alt", K::OPTION => "opt", K::LOOP => "loop", K::PARALLEL => "par", K::BREAK => "break",
                 K::REFERENCE => "ref" }.freeze
        TAG = 20
        AROUND = SequenceColumns::AROUND

        # @return [String] what stands in the corner
        def self.tag(fragment)
          word = TAGS.fetch(fragment["operator"], "alt")
          times = fragment["times"] or return word

          least, most = times.split(" to ")
          "#{word} (#{[least, most && (most == "many" ? "*" : most)].compact.join(", ")})"
        end

        def self.tag_width(fragment) = P.width(tag(fragment), :heading) + 22

        # @param fragment [Model::Element]
        # @param branches [Array<Array(String, SequenceRows::Row)>] id and row of each branch
        # @param guards [Numeric] where conditions begin, px
        def initialize(fragment, branches, guards, refers)
          @fragment = fragment
          @branches = branches
          @guards = guards
          @refers = refers
        end

        # @param box [Layout::Box]
        # @return [Array] shapes
        def shapes(box)
          return reference(box) if @fragment["operator"] == K::REFERENCE

          [S.rect(box.x, box.y, box.w, box.h, :inner), *dividers(box), *tag(box), *@branches.map { |id, row| S.part(id, guard(box, row)) }]
        end

        private

        def tag(box)
          width = self.class.tag_width(@fragment) - 4
          outline = "M#{S.numbers(box.x, box.y)}h#{S.n width}v#{TAG - 7}l-7 7H#{S.n box.x}Z"
          [S.path(outline, :outline), S.text(box.x + 7, box.y + 14, self.class.tag(@fragment), :heading)]
        end

        def dividers(box)
          @branches.drop(1).map { |_, row| S.path("M#{S.numbers(box.x, row.top)}H#{S.n box.right}", :planned_line) }
        end

        # A strip that can be pointed at, also where no condition is said.
        def guard(box, row)
          left = @guards
          lines = row.lines
          width = (lines.map { |line| P.width(line, :verb) }.max || 0) + 6
          [
            S.rect(box.x, row.top, box.w, 24, :row),
            *(lines.any? ? [S.rect(left - 3, row.top + 5, width, (SequenceRows::LINE * lines.length), :halo)] : []),
            *lines.each_with_index.map { |line, index| S.text(left, row.top + 17 + (index * SequenceRows::LINE), line, :verb) }
          ]
        end

        def reference(box)
          lines = @refers
          [
            S.rect(box.x, box.y, box.w, box.h, :outline),
            *tag(box),
            *lines.each_with_index.map { |line, index| S.text(box.cx, box.y + 33 + (index * SequenceRows::LINE), line, :name, :middle) }
          ]
        end
      end
    end
  end
end
