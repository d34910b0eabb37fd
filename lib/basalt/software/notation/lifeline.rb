# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # A lifeline: the head of a participant, a dashed line beneath it, bars where it is busy, and a cross where it ends (UML 2.5.1,
      # 17.3.4).
      class Lifeline
        S = Drawing::Shapes
        P = Drawing::Pens
        HEAD = 36
        MOST = 170
        # Half a bar, and by how much one that lies on another is further to the right, px.
        BAR = 5
        CROSS = 8

        def initialize(participant)
          @participant = participant
          @lines = P.lines(words, :name, MOST, most: 2)
        end

        def actor? = @participant["nature"] == "actor"

        # @return [Numeric] px
        def width
          @width ||= actor? ? figure.size.first : (@lines.map { |line| P.width(line, :name) }.max.to_f + 26).clamp(84, MOST + 26).ceil
        end

        def height = @height ||= actor? ? figure.size.last : HEAD + (16 * (@lines.length - 1)) + (system? ? 14 : 0)

        # @param box [Layout::Box] from the top of its head to where it ends
        # @param bars [Array<Array(Numeric, Numeric, Integer)>] top, bottom and depth
        # @param ended [Boolean] whether it is destroyed
        # @return [Array] shapes
        def shapes(box, bars, ended)
          top = box.y + height
          [
            S.path("M#{S.numbers(box.cx, top)}V#{S.n box.bottom}", :lifeline),
            S.path("M#{S.numbers(box.cx, top)}V#{S.n box.bottom}", :lifeline_grip),
            *head(box),
            *bars.sort_by(&:last).map { |from, to, depth| S.rect(box.cx - BAR + (depth * BAR), from, 2 * BAR, to - from, :outline) },
            *(ended ? [cross(box)] : [])
          ]
        end

        # @return [Array<Layout::Box>] of the head
        def obstacles(box) = [Layout::Box.new(x: box.cx - (width / 2), y: box.y, w: width, h: height)]

        # @return [Array] shapes of the head alone
        def head(box)
          left = box.cx - (width / 2)
          return figure.shapes(Layout::Box.new(x: left, y: box.y, w: width, h: height)) if actor?

          first = box.y + (HEAD / 2) + 5 + (system? ? 10 : 0)
          [
            S.rect(left, box.y, width, height, @participant.assumed ? :assumed : :outline),
            *(system? ? [S.text(box.cx, box.y + 17, "«system»", :identifier, :middle)] : []),
            *@lines.each_with_index.map { |line, index| S.text(box.cx, first + (16 * index), line, :name, :middle) }
          ]
        end

        private

        def system? = @participant["nature"] == "system"

        # As UML names an object of a class.
        def words = @participant["type"] ? "#{@participant.name}: #{@participant["type"]}" : @participant.name.to_s

        # An actor says what it is one of only where that is another word.
        def figure = @figure ||= ActorFigure.new(@participant.with(facts: { "nature" => "person" }, name: @participant.name))

        def cross(box)
          x, y = box.cx, box.bottom
          S.path(
            "M#{S.numbers(x - CROSS, y - CROSS)}L#{S.numbers(x + CROSS, y + CROSS)}M#{S.numbers(x + CROSS, y - CROSS)}L" \
            "#{S.numbers(x - CROSS, y + CROSS)}", :inner
          )
        end
      end
    end
  end
end
