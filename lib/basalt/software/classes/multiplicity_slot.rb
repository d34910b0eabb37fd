# frozen_string_literal: true

module Basalt
  module Software
    module Classes
      # How many there are at an end: +0..1+, +1..*+, +*+.
      class MultiplicitySlot
        def stops?(token) = token.word? && !Features::Multiplicity.of(token.text).nil?

        def candidates(matcher, _node, _rest, at)
          token = matcher.token(at)
          times = token&.word? && Features::Multiplicity.of(token.text)
          return matcher.expect(at, "a multiplicity such as 1..*") unless times

          yield times.to_s, at + 1
        end
      end
    end
  end
end
