# frozen_string_literal: true

module Basalt
  module Decisions
    module Notation
      # A decision: its number, status and day; the question, what was chosen and why; what it is about.
      class Card
        WIDTH = 270
        PAD = 14
        HEAD = 26
        LINE = 16
        FOOT = 24
        S = Drawing::Shapes
        P = Drawing::Pens

        def initialize(set, decision)
          @set = set
          @decision = decision
          @question = lines("question", 2)
          @choice = P.lines(decision["choice"] || "not decided yet", :name, WIDTH - (2 * PAD), most: 4)
          @reason = P.lines(decision["reason"] && "because #{decision["reason"]}", :member, WIDTH - (2 * PAD), most: 4)
        end

        def size = [WIDTH, HEAD + (LINE * rows.length) + 12 + FOOT]

        # @return [Array] shapes
        def shapes(box)
          [S.rect(box.x, box.y, box.w, box.h, pen), *head(box), *text(box),
           S.path("M#{S.numbers(box.x + PAD, box.bottom - FOOT)}H#{S.n box.right - PAD}", :cell),
           S.text(box.x + PAD, box.bottom - 8, P.fit(foot, :identifier, WIDTH - (2 * PAD)), :identifier)]
        end

        private

        def lines(fact, most) = P.lines(@decision[fact], :member, WIDTH - (2 * PAD), most:)
        def rows = @question.map { |line| [line, :verb] } + @choice.map { |line| [line, :name] } + @reason.map { |line| [line, :member] }

        def pen
          return :cell unless About.stands?(@set, @decision)

          @decision["status"] == "proposed" || @decision.assumed ? :assumed : :outline
        end

        def head(box)
          state = [status, @decision["dated"]].compact.join(", ")
          name = P.fit(@decision.name, :name, WIDTH - (2 * PAD) - P.width(state, :identifier) - 10)
          [S.text(box.x + PAD, box.y + 19, name, :name), S.text(box.right - PAD, box.y + 19, state, :identifier, :end)]
        end

        def status
          by = About.replaced(@set, @decision.id).first
          by ? "replaced by #{P.fit(by.name, :identifier, 60)}" : @decision["status"]
        end

        def text(box)
          rows.each_with_index.map { |(line, style), index| S.text(box.x + PAD, box.y + HEAD + 14 + (index * LINE), line, style) }
        end

        def foot
          names = About.of(@set, @decision.id).map { |one| About.title(@set, one.target("thing")) }
          names.empty? ? "about nothing yet" : "about #{names.uniq.join(", ")}"
        end
      end
    end
  end
end
