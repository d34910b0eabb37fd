# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # How often something is repeated: a number, or the least and the most, as in +0 to 3+ and +1 to many+.
      class RoundsSlot
        def stops?(_token) = false

        def candidates(matcher, _node, _rest, at)
          [3, 1].each do |count|
            words = matcher.tokens[at, count].to_a.map(&:text)
            yield words.join(" "), at + count if words.length == count && words.join(" ").match?(Kinds::TIMES)
          end
          matcher.expect(at, "a number, or two such as 0 to 3")
        end

        def write(value) = value
      end
    end
  end
end
