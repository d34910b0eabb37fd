# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # A class as a box with compartments: what it is, its attributes, its operations (UML 2.5.1, 9.2.4 and 11.4.4). What is static
      # is underlined; what is abstract says so.
      class ClassBox
        PAD = 10
        LINE = 16
        ROW = 18
        FOOT = 8
        LEAST = 120
        MOST = 380
        S = Drawing::Shapes
        P = Drawing::Pens
        # The words in guillemets for each sort of class that is none (UML 2.5.1, table 9.1 and clause 10).
        KEYWORDS = {
          Classes::Kinds::INTERFACE => "interface",
          Classes::Kinds::ENUMERATION => "enumeration",
          Classes::Kinds::DATA_TYPE => "dataType",
          Classes::Kinds::PRIMITIVE => "primitive"
        }.freeze

        # @param shown [Array<Symbol>] compartments: +:attributes+, +:operations+
        def initialize(set, one, shown: %i[attributes operations])
          @class = one
          parts = shown.empty? ? [] : Classes::Featuring.of(set, one.id)
          operations, attributes = parts.partition { |part| part.kind == "operation" }
          @compartments = { attributes:, operations: }.slice(*shown).values.reject(&:empty?)
        end

        # @return [Array(Integer, Integer)] width and height, px
        def size
          widths = head.map { |text, style| P.width(text, style) + 24 } + rows.map { |part| P.width(words(part), :member) + (2 * PAD) }
          widths << (P.width(@class["template"], :identifier) + 60) if @class["template"]
          [[LEAST, *widths].max.clamp(LEAST, MOST).ceil, head_height + @compartments.sum { |parts| FOOT + (ROW * parts.length) }]
        end

        # @return [Numeric, nil] how far down the middle of a feature's row is, px
        def row(part_id)
          @compartments.each_with_index do |parts, index|
            at = parts.index { |part| part.id == part_id } or next
            return top_of(index) + 13 + (at * ROW) - 4
          end
          nil
        end

        # @return [Array] shapes
        def shapes(box)
          [
            S.rect(box.x, box.y, box.w, box.h, @class.assumed ? :assumed : :outline),
            *heading(box),
            *@compartments.each_with_index.flat_map { |parts, index| compartment(box, parts, top_of(index)) },
            *template(box)
          ]
        end

        # @return [Array<Symbol>]
        def marks
          features = rows.reject { |part| part.kind == "literal" }
          [*features.filter_map { |part| part["visibility"] }, *("/" if features.any? { |part| part["derived"] })].uniq
        end

        private

        def rows = @compartments.flatten
        def words(part) = Classes::Facts.text(part)

        # The lines of the head with their styles.
        def head
          @head ||= [
            *[KEYWORDS[@class["sort"]], @class["stereotype"]].compact.map { |word| ["«#{word}»", :identifier] },
            *P.lines(@class.name, :name, MOST - 24, most: 2).map { |line| [line, :name] },
            *([["{abstract}", :identifier]] if @class["sort"] == Classes::Kinds::ABSTRACT),
            *([["{leaf}", :identifier]] if @class["leaf"]),
            *([["{#{P.fit(@class["constraint"], :identifier, MOST - 40)}}", :identifier]] if @class["constraint"])
          ]
        end

        def above = @class["template"] ? 12 : 0
        def head_height = above + 14 + (LINE * head.length)
        def top_of(index) = head_height + @compartments.first(index).sum { |parts| FOOT + (ROW * parts.length) }

        def heading(box)
          head.each_with_index.map do |(text, style), index|
            S.text(box.cx, box.y + above + 20 + (index * LINE), P.fit(text, style, box.w - 12), style, :middle)
          end
        end

        def compartment(box, parts, top)
          [S.path("M#{S.numbers(box.x, box.y + top)}H#{S.n box.right}", :rule)] +
            parts.each_with_index.map { |part, index| feature(box, part, box.y + top + 17 + (index * ROW)) }
        end

        def feature(box, part, y)
          text = P.fit(words(part), :member, box.w - (2 * PAD))
          shapes = [S.rect(box.x + 2, y - 13, box.w - 4, ROW, :row), S.text(box.x + PAD, y, text, :member)]
          if Classes::Facts.static?(part)
            shapes << S.path("M#{S.numbers(box.x + PAD, y + 2.5)}h#{S.n P.width(text, :member)}", :underline)
          end
          S.part(part.id, shapes)
        end

        # Parameters of a template stand in a dashed box at the upper right corner (UML 2.5.1, 7.3.4).
        def template(box)
          return [] unless @class["template"]

          text = P.fit(@class["template"], :identifier, box.w - 50)
          wide = P.width(text, :identifier) + 12
          left = box.right - wide + 8
          [S.rect(left, box.y - 8, wide, 20, :planned), S.text(left + 6, box.y + 6, text, :identifier)]
        end
      end
    end
  end
end
