# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # How high everything of an interaction stands, from the order alone: each message, mark and fragment beneath the one before it.
      class SequenceRows
        P = Drawing::Pens
        # Words are broken at this width, px; messages have four lines at most, conditions three.
        WRAP = 176
        LINE = 15
        GAP = 12
        # How far a message to oneself goes down.
        LOOP = 18
        # Above the first item of a fragment, and beneath its last.
        HEADER = 26
        FOOT = 12
        # Of a branch that holds nothing yet.
        EMPTY = 18
        REFERENCE = 46

        # +top+ and +bottom+ of an item, +y+ of the line of a message, +lines+ of its words.
        Row = Value.of(:top, :y, :bottom, :lines)

        # @param course [Interactions::Course]
        # @param top [Numeric] where the first begins, px
        # @param numbers [Hash{String => String}] of messages, that stand in front of their words
        # @param heads [Hash{String => Numeric}] heights of the heads of those who are created on the way
        # @param broken [Hash{Model::Element => Array<String>}, nil] words that were broken before, by the very elements
        def initialize(course, top, numbers: {}, heads: {}, broken: nil)
          @known = broken || {}.compare_by_identity
          @broken = {}.compare_by_identity
          @numbers = numbers
          @heads = heads
          @rows = {}
          @born = {}
          @died = {}
          @bottom = walk(course.items, top)
        end

        # @return [Hash{String => Row}] by element
        attr_reader :rows

        # @return [Hash{Model::Element => Array<String>}] words of messages and marks
        attr_reader :broken

        # @return [Numeric] beneath everything
        attr_reader :bottom

        # @return [Hash{String => Numeric}] by participant, where it is created and where it ends
        attr_reader :born, :died

        # @param other [SequenceRows] of the same items
        # @return [Boolean] whether everything stands as high there
        def stands?(other)
          bottom == other.bottom && rows.all? do |id, row|
            at = other.rows[id]
            at && at.top == row.top && at.y == row.y && at.bottom == row.bottom
          end
        end

        private

        def walk(items, top) = items.reduce(top) { |y, item| put(item, y + GAP) }

        def put(item, top)
          case item.element.kind
          when "message" then message(item.element, top)
          when "mark" then mark(item.element, top)
          else fragment(item, top)
          end
        end

        def message(one, top)
          lines = words(one)
          y = top + (LINE * lines.length) + 3
          bottom = one.endpoints.uniq.one? && one["open"].nil? ? y + LOOP : y
          y, bottom = created(one, y, bottom) if one["sort"] == Interactions::Kinds::CREATION
          @died[one.target("to")] ||= y if one["sort"] == Interactions::Kinds::DESTRUCTION
          @rows[one.id] = Row.new(top:, y:, bottom:, lines:)
          bottom
        end

        # The head of whoever is created stands at the height of the message.
        def created(one, y, bottom)
          head = @heads[one.target("to")] or return [y, bottom]
          return [y, bottom] if @born.key?(one.target("to"))

          @born[one.target("to")] = y
          [y, [bottom, y + (head / 2)].max]
        end

        def words(one) = @broken[one] = @known[one] || broken_words(one)

        def broken_words(one)
          text = [@numbers[one.id], one.name].compact.join(": ")
          text.empty? ? [] : P.lines(text, :verb, WRAP, most: 4)
        end

        def mark(one, top)
          text = one["sort"] == Interactions::Kinds::TIME ? "{#{one.name}}" : one.name.to_s
          lines = P.lines(text, :verb, WRAP - 20, most: 6)
          bottom = top + (LINE * lines.length) + (one["sort"] == Interactions::Kinds::TIME ? 2 : 12)
          @rows[one.id] = Row.new(top:, y: (top + bottom) / 2, bottom:, lines:)
          bottom
        end

        def fragment(item, top)
          return reference(item.element, top) if item.branches.empty?

          y = top
          item.branches.each_with_index do |branch, index|
            lines = guard(item.element, branch.element, index)
            from = y
            y += [HEADER, (LINE * lines.length) + 8].max
            y = branch.items.empty? ? y + EMPTY : walk(branch.items, y - 6) + FOOT
            @rows[branch.element.id] = Row.new(top: from, y: from, bottom: y, lines:)
          end
          @rows[item.element.id] = Row.new(top:, y: top, bottom: y, lines: [])
          y
        end

        def reference(one, top)
          lines = P.lines(one["refers"].to_s, :name, WRAP, most: 2)
          bottom = top + REFERENCE + (LINE * [lines.length - 1, 0].max)
          @rows[one.id] = Row.new(top:, y: top, bottom:, lines:)
          bottom
        end

        # What stands in brackets at a branch (UML 2.5.1, 17.6.4).
        def guard(fragment, operand, index)
          guard = operand["guard"]
          guard = "else" if guard&.strip == Interactions::Kinds::OTHERWISE && index.positive?
          words = guard ? P.lines("[#{guard}]", :verb, WRAP, most: 3) : []
          fragment["operator"] == Interactions::Kinds::PARALLEL ? [] : words
        end
      end
    end
  end
end
