# frozen_string_literal: true

module Basalt
  module Process
    module Notation
      # Somebody who takes part: the name, and the rows of the activity table that are theirs.
      class Doer
        HEAD = 30
        ROW = 17
        WIDEST = 230
        MOST = 14
        S = Drawing::Shapes
        P = Drawing::Pens

        # @return [Integer] the place of a row in the table
        def self.number(set, activity) = Acts.sorted(set.of_kind("activity")).index { |one| one.id == activity.id } + 1

        def initialize(set, thing)
          @set = set
          @thing = thing
          @rows = Acts.sorted(Acts.of(set, thing.id))
          @outside = SystemBoundary.new(set).of(thing)&.outside?
          @texts = @rows.first(MOST).map { |row| [self.class.number(set, row).to_s, row["processing"] ? "=" : "", P.fit(row.name, :member, WIDEST)] }
          @texts << ["", "", "and #{@rows.length - MOST} more"] if @rows.length > MOST
        end

        def size
          widest = [P.width(@thing.name, :name) + 24, *@texts.map { |_, _, text| P.width(text, :member) + 60 }].max
          [widest.clamp(120, WIDEST + 66).ceil, HEAD + (@texts.empty? ? 8 : 10 + (ROW * @texts.length))]
        end

        # @return [Array] shapes
        def shapes(box)
          rule = @texts.empty? ? [] : [S.path("M#{S.numbers(box.x, box.y + HEAD)}h#{S.n box.w}", :rule)]
          [S.rect(box.x, box.y, box.w, box.h, @outside ? :planned : :outline), S.text(box.x + 12, box.y + 20, P.fit(@thing.name, :name, box.w - 20), :name), *rule, *rows(box)]
        end

        private

        def rows(box)
          @texts.each_with_index.flat_map do |(number, mark, text), index|
            y = box.y + HEAD + 17 + (index * ROW)
            [S.text(box.x + 24, y, number, :identifier, :end), S.text(box.x + 34, y, mark, :label), S.text(box.x + 48, y, text, :member)]
          end
        end
      end
    end
  end
end
