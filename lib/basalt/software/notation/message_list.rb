# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # What passes between two who take part, one beneath the other, each with its number and an arrow to whoever gets it (UML 2.5.1,
      # 17.9.3).
      class MessageList
        # What is said, and to where: +:right+, +:left+, +:down+ or +:up+.
        Said = Value.of(:text, :toward)
        LINE = 16
        ARROW = 16
        MOST = 14
        WIDE = 230
        S = Drawing::Shapes
        P = Drawing::Pens

        class << self
          # @param line [Model::Element] the message for which the line stands
          # @return [Array<Said>] of all that pass between the same two, in order
          def of(set, line)
            bundle = set.respond_to?(:bundle) ? set.bundle(line) : [line]
            interaction = Interactions::Course.interaction(set, line) or return []
            numbers, order = numbered(set, interaction.id)
            all = bundle.sort_by { |one|
              order.fetch(one.id, 0)
            }.map { |one| Said.new(text: words(one, numbers), toward: toward(set, one)) }
            all.length > MOST ? [*all.first(MOST), Said.new(text: "and #{all.length - MOST} more", toward: nil)] : all
          end

          # @return [Array(Hash, Hash)] numbers of messages, and their places
          def numbered(set, interaction_id)
            set.derived([self, interaction_id]) do |now|
              course = Interactions::Course.new(now, interaction_id)
              [Interactions::Executions.new(course).numbers, course.messages.each_with_index.to_h { |one, index| [one.id, index] }]
            end
          end

          def words(one, numbers) = P.fit([numbers[one.id], one.name].compact.join(": "), :verb, WIDE)

          private

          # As the two stand to each other; to the right where they stand nowhere yet.
          def toward(set, one)
            from, to = one.endpoints.map { |id| set.respond_to?(:sheet_id) ? set.placement(set.sheet_id, id)&.box : nil }
            return :right unless from && to

            across, down = to.cx - from.cx, to.cy - from.cy
            return down.positive? ? :down : :up if down.abs > across.abs

            across.negative? ? :left : :right
          end
        end

        # @param said [Array<Said>]
        def initialize(said)
          @said = said
        end

        def width = @said.map { |one| P.width(one.text, :verb) }.max + ARROW + 12
        def height = (LINE * @said.length) + 4

        # @return [Array] shapes around a middle
        def shapes(x, y)
          left, top = x - (width / 2), y - (height / 2)
          [
            S.rect(left, top, width, height, :halo),
            *@said.each_with_index.flat_map do |one, index|
              middle = top + 2 + (LINE * index) + (LINE / 2)
              [*arrow(left + 4, middle, one.toward), S.text(left + ARROW + 8, middle + 4, one.text, :verb)]
            end
          ]
        end

        private

        def arrow(x, y, toward)
          points = { right: [[x, y], [x + 13, y]], left: [[x + 13, y], [x, y]], down: [[x + 6, y - 6], [x + 6, y + 6]],
                     up: [[x + 6, y + 6], [x + 6, y - 6]] }[toward]
          points ? [S.polyline(points, :line), *Drawing::LineEnds::Arrow.shape(points)] : []
        end
      end
    end
  end
end
