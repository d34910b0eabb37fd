# frozen_string_literal: true

module Basalt
  module Statements
    # What is in order among others of its kind stands in the order of its lines: a line that was moved is a move, and
    # a line that was put between two comes to stand between them. As few rows as can be get another key.
    class MovedLines
      # @return [String, nil] id of the one that a sentence made or altered, of those that are in order
      def self.told_by(effect) = effect.on(:elements).filter_map(&:after).find { |element| element.description.ordered }&.id

      # @param draft [Change::Draft]
      # @param told [Array<String, nil>] ids of what the lines tell of, in their order
      def initialize(draft, sheet_id, told)
        @draft = draft
        @sheet_id = sheet_id
        @told = told
      end

      def settle
        elements = @told.compact.uniq.filter_map { |id| @draft.element(id) }.select { |element| stands_for_order?(element) }
        elements.group_by(&:kind).each_value { |wanted| arrange(wanted.map(&:id)) }
      end

      private

      # The order of things shows only where the notation has a place for each.
      def stands_for_order?(element)
        element.description.ordered && (element.relation? || @draft.sheets[@sheet_id].notation.ruled?)
      end

      def arrange(wanted)
        standing = in_order(wanted)
        places = standing.each_with_index.to_h
        staying = longest_rising(wanted.map { |id| places[id] }).to_set { |place| standing[place] }
        wanted.each_with_index { |id, index| put(wanted, id, index) unless staying.include?(id) }
      end

      def in_order(ids) = ids.sort_by { |id| @draft.element(id).then { |element| [Change::Reorder.key(element), element.ordinal] } }

      # Behind the one whose line is before its own.
      def put(wanted, id, index)
        ids = in_order(siblings(wanted))
        others = ids - [id]
        place = index.zero? ? others.index { |other| wanted.include?(other) }.to_i : others.index(wanted[index - 1]) + 1
        Change::Reorder.new(ids:, id:, place: place + 1).apply(@draft)
      end

      # Those of its kind on the sheet, whether or not the edited text tells of them.
      def siblings(wanted)
        kind = @draft.element(wanted.first).kind
        here = @draft.relations_on(@sheet_id) + @draft.things_on(@sheet_id)
        wanted | here.select { |element| element.kind == kind }.map(&:id)
      end

      # @return [Array<Integer>] a longest run of numbers that rise (Fredman, "On computing the length of longest increasing
      #   subsequences", 1975)
      def longest_rising(numbers)
        tails = []
        before = {}
        numbers.each do |number|
          at = tails.bsearch_index { |tail| tail >= number } || tails.length
          before[number] = at.zero? ? nil : tails[at - 1]
          tails[at] = number
        end
        run = [tails.last].compact
        run.unshift(before[run.first]) while run.any? && before[run.first]
        run
      end
    end
  end
end
