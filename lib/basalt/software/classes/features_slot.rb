# frozen_string_literal: true

module Basalt
  module Software
    module Classes
      # Features in UML's textual notation, separated by commas, up to the end of the line; what cannot be read is told at its letter.
      class FeaturesSlot
        def stops?(_token) = false

        def candidates(matcher, _node, _rest, at)
          token = matcher.token(at)
          return matcher.expect(at, "a feature such as +name: Type") unless token

          text = matcher.text.unicode_normalize(:nfc)[token.from..]
          yield Features::Notation.list(text), matcher.tokens.length
        rescue Features::Unreadable => e
          letter = token.from + e.at
          place = matcher.tokens.index { |one| one.to > letter } || matcher.tokens.length
          matcher.refuse([place, at].max, e.message, letter:)
        end
      end
    end
  end
end
