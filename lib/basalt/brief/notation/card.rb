# frozen_string_literal: true

module Basalt
  module Brief
    module Notation
      # A requirement: its number and priority, its text, and what meets it.
      class Card
        WIDTH = 228
        HEAD = 26
        LINE = 16
        FOOT = 24
        MOST = 6
        S = Drawing::Shapes
        P = Drawing::Pens

        def initialize(set, requirement)
          @requirement = requirement
          @lines = P.lines(requirement["text"], :member, WIDTH - 28, most: MOST)
          @meeting =
            set
              .relations_of(requirement.id, "meets")
              .map { |one| set.element(one.target("thing")) }
              .map { |thing| thing.name || thing.kind }
        end

        def size = [WIDTH, HEAD + (LINE * @lines.length) + 10 + FOOT]

        # @return [Array] shapes
        def shapes(box)
          [
            S.rect(box.x, box.y, box.w, box.h, @requirement.assumed ? :assumed : :outline),
            *head(box),
            *text(box),
            S.path("M#{S.numbers(box.x + 14, box.bottom - FOOT)}H#{S.n box.right - 14}", :cell),
            S.text(box.x + 14, box.bottom - 8, met, :identifier)
          ]
        end

        private

        # Its number and group, and how it stands.
        def head(box)
          name = P.fit(@requirement.name, :name, 90)
          state = [@requirement["priority"], @requirement["state"]].compact.join(", ")
          room = WIDTH - 26 - P.width(name, :name) - P.width(state, :identifier) - 20
          group =
            (
              if room > 30 && @requirement["group"]
                [S.text(box.x + 14 + P.width(name, :name) + 8, box.y + 19, P.fit(@requirement["group"], :identifier, room), :identifier)]
              else
                []
              end
            )
          [S.text(box.x + 14, box.y + 19, name, :name), *group, S.text(box.right - 12, box.y + 19, state, :identifier, :end)]
        end

        def text(box) = @lines.each_with_index.map { |line, index| S.text(box.x + 14, box.y + HEAD + 13 + (index * LINE), line, :member) }
        def met = P.fit(@meeting.empty? ? "– met by nothing" : "+ #{@meeting.uniq.join(", ")}", :identifier, WIDTH - 28)
      end
    end
  end
end
