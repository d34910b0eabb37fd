# frozen_string_literal: true

module Basalt
  module Linking
    # Words that many titles begin or end with, so that they tell nothing of what a sheet opens.
    module CommonWords
      FEWEST = 2

      module_function

      # @param titles [Array<String>]
      # @return [Array<String>] the most frequent at the beginning, and at the end
      def of(titles)
        words = titles.map(&:split).select { |list| list.length > 1 }
        [most(words.map(&:first)), most(words.map(&:last))].compact.uniq
      end

      def most(words)
        word, times = words.grep(/\p{L}/).tally.max_by(&:last)
        word if times && times >= FEWEST
      end
    end
  end
end
