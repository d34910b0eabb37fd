# frozen_string_literal: true

module Basalt
  module Statements
    # A thing that is known: its name, longest first; or kind and name; or name and place.
    class ThingSlot
      # The most words of a name that is looked for without quotes.
      WORDS = 12

      def stops?(_token) = false

      def candidates(matcher, node, _rest, at, &found)
        kinds = Slots.kinds(node.arguments)
        matcher.expect(at, label(node.arguments), kinds)
        by_name(matcher, at, kinds, nil, &found)
        by_kind(matcher, at, kinds, &found)
      end

      private

      def by_name(matcher, at, kinds, noun, &found)
        names_at(matcher, at).each do |name, after|
          elements = matcher.context.find(name, kinds, noun:)
          next if elements.empty?

          by_place(matcher, elements, after, &found)
          if elements.length == 1 then yield elements.first, after
          else matcher.refuse(after, ambiguity(matcher, name, elements))
          end
        end
      end

      def by_kind(matcher, at, kinds, &found)
        nouns_at(matcher, at).each do |noun, after|
          kind, = Model::Catalogue.nouns[noun]
          next unless kinds.include?(kind.name)

          by_name(matcher, after, [kind.name], noun, &found)
          unnamed = kind.default_name(noun)
          nameless = unnamed && matcher.context.find(unnamed, [kind.name], noun:)
          yield nameless.first, after if nameless&.one?
        end
      end

      def by_place(matcher, elements, at, &found)
        return unless matcher.token(at)&.literal?("of")

        places = elements.filter_map { |element| element.container_id && matcher.context.draft.element(element.container_id) }.uniq
        names_at(matcher, at + 1).each do |name, after|
          inside = elements.select { |element| places.any? { |place| place.id == element.container_id && place.name == name } }
          found.call(inside.first, after) if inside.one?
        end
      end

      # Runs of words, longest first, that could be a name here.
      def names_at(matcher, at)
        token = matcher.token(at)
        return [] unless token
        return [[token.text, at + 1]] if token.quoted?

        words = matcher.tokens[at, WORDS].take_while(&:word?).map(&:text)
        words.length.downto(1).map { |count| [words.first(count).join(" "), at + count] }
      end

      def nouns_at(matcher, at)
        words = matcher.tokens[at, 3].to_a.take_while(&:word?).map(&:text)
        words.length.downto(1).filter_map do |count|
          noun = words.first(count).join(" ")
          [noun, at + count] if Model::Catalogue.nouns.key?(noun)
        end
      end

      def ambiguity(matcher, name, elements)
        told = elements.first(4).map { |element| matcher.context.qualified(element) }
        "there are #{elements.length} called “#{name}”: say #{told.join(' or ')}"
      end

      def label(arguments)
        arguments.empty? ? "a known name" : "a known #{[arguments[0..-2].join(", "), arguments.last].reject(&:empty?).join(" or ")}"
      end
    end
  end
end
