# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # Somebody who takes part, as communication diagrams show them: a head, and beneath it what they ask of themselves, what comes
      # from nobody known and what nobody gets.
      class Speaker
        LINE = 15
        WIDE = 200
        S = Drawing::Shapes
        P = Drawing::Pens

        def initialize(set, participant)
          @head = Lifeline.new(participant)
          @lines = own(set, participant)
        end

        # @return [Array(Numeric, Numeric)] px
        def size
          widest = @lines.map { |line| P.width(line, :verb) + 16 }.max || 0
          [[@head.width, widest].max.ceil, (@head.height + (@lines.empty? ? 0 : (LINE * @lines.length) + 8)).ceil]
        end

        # @return [Array] shapes
        def shapes(box)
          top = box.y + @head.height
          head = @head.head(Layout::Box.new(x: box.cx - (@head.width / 2), y: box.y, w: @head.width, h: @head.height))
          return head if @lines.empty?

          [
            *head,
            S.rect(box.x, top, box.w, box.h - @head.height, :plain),
            *@lines.each_with_index.map { |line, index| S.text(box.x + 8, top + 15 + (LINE * index), line, :verb) }
          ]
        end

        private

        def own(set, participant)
          interaction = participant.container_id or return []
          messages = set.elements.by(:target, participant.id).select { |one|
            one.kind == "message" && (one["open"] || one.endpoints.uniq.one?)
          }
          return [] if messages.empty?

          numbers, order = MessageList.numbered(set, interaction)
          messages.uniq(&:id).sort_by { |one|
            order.fetch(one.id, 0)
          }.map { |one| P.fit("#{MessageList.words(one, numbers)}#{sign(one)}", :verb, WIDE) }
        end

        def sign(one)
          { Interactions::Kinds::FOUND => " (from nobody known)", Interactions::Kinds::LOST => " (nobody gets it)" }.fetch(
            one["open"].to_s, ""
          )
        end
      end
    end
  end
end
