# frozen_string_literal: true

module Basalt
  module Statements
    # Fits a line's tokens to a form, trying what each slot could be, and keeps how far it
    # came and what would have gone on there. Parsing by ordered choice with the furthest
    # failure reported: Ford, "Packrat Parsing" (2002), section 3.3.
    class Matcher
      # @param text [String] the line
      # @param context [Context] what is known
      # @param quiet [Boolean] whether nobody will ask how far it came
      def initialize(text, context, quiet: false)
        @quiet = quiet
        @text = text
        @context = context
        @tokens = context.tokens(text)
        @furthest = 0
        @expected = []
        @kinds = []
        @named = {}
        @tail = []
      end

      # +expected+ is what could stand at the +furthest+ token, +named+ the kinds that each of that names; +went+ is the form
      # that came so far, and +refusal+ a reason that outweighs what was expected, +letter+ where within a word it counts.
      attr_reader :text, :tokens, :context, :form, :furthest, :expected, :kinds, :named, :went, :refusal, :letter

      def token(at) = @tokens[at]

      # @return [Array<String>] the words of the line that may stand for themselves, in alphabetical order
      def words = @words ||= @tokens.filter_map { |token| token.text if !token.quoted? && Grammar.words.include?(token.text) }.uniq.sort

      # @param form [Form]
      # @return [Hash, nil] captures by slot name; +:qualities+ holds pairs of quality and its captures
      def fit(form)
        @form = form
        match(form.nodes, 0, {}) do |at, captures|
          return captures if at == @tokens.length

          expect(at, "the end of the statement") if @tokens[at].mark?
        end
        nil
      end

      # Fits all of the form but its qualities.
      #
      # @yield [captures, at] each way to read it, and the token behind
      def heading(form)
        @form = form
        @tail = form.tail
        match(form.stem, 0, {}) { |at, captures| yield captures, at }
      ensure
        @tail = []
      end

      # Notes that +label+ would have gone on at token +at+; +kinds+ are the kinds of things named there.
      def expect(at, label, kinds = [])
        return if @quiet || at < @furthest

        if at > @furthest
          @furthest = at
          @went = @form
          @expected = []
          @kinds = []
          @named = {}
          @refusal = @letter = nil
        end
        @expected << label unless @expected.include?(label)
        @kinds |= kinds if kinds.any?
        @named[label] = kinds if kinds.any?
        nil
      end

      # Notes a reason that outweighs all expectations unless something reads further.
      #
      # @param letter [Integer, nil] of the line (from 0) at which it stops making sense, where that is within a word
      def refuse(at, reason, letter: nil)
        expect(at, reason)
        @refusal, @letter = reason, letter if at == @furthest && !@quiet
        nil
      end

      # @return [Misread] why nothing fitted
      def misread = Diagnosis.new(self, @context).misread

      # Matches +nodes+ from token +at+, yielding each way to read them. Words that stand for themselves are passed in a loop: most
      # forms that are tried end at one.
      def match(nodes, at, captures, &found)
        place = 0
        while (node = nodes[place]).is_a?(Pattern::Literal)
          return expect(at, node.label) unless literal?(node, @tokens[at])

          at += 1
          place += 1
        end
        return yield(at, captures) unless node

        branch(node, nodes.drop(place + 1), at, captures, &found)
      end

      # @return [Boolean] whether the token ends a new name in front of these nodes
      def ends_name?(token, following)
        return true if token.nil? || token.mark? || token.unclosed?
        return false if token.quoted?

        following += @tail if @tail.any?
        (@form.declares && Grammar.verbs.include?(token.text)) || Grammar.begins?(following, token.text) || slot_stops(following, token)
      end

      # @return [Boolean] whether the word begins qualities in front of which a new name stands, and is none by itself
      def begins_only?(token, following)
        lists = (following + @tail).grep(Pattern::Qualities)
        found = lists.flat_map { |list| Grammar.qualities(list.kind) }.select { |one| Grammar.begins?(one.nodes, token.text) }
        found.any? && found.none? { |one| one.nodes.one? }
      end

      # @return [Boolean] whether what is named in front of these nodes is called by a phrase
      def phrased?(following) =
        (following + @tail).grep(Pattern::Qualities).any? { |list| Model::Catalogue.kinds[list.kind]&.phrased }

      private

      def literal?(node, token) = !token.nil? && !token.quoted? && node.words.include?(token.text)

      def branch(node, rest, at, captures, &found)
        case node
        when Pattern::Maybe
          match(node.nodes + rest, at, captures, &found)
          match(rest, at, captures, &found)
        when Pattern::Qualities
          qualities(node, rest, at, captures, [], &found)
        else
          slot(node, rest, at, captures, &found)
        end
      end

      def slot(node, rest, at, captures, &found)
        Slots
          .fetch(node.slot)
          .candidates(self, node, rest, at) { |value, after| match(rest, after, captures.merge(node.name => value), &found) }
      end

      def qualities(node, rest, at, captures, taken, &found)
        # Behind the end no quality is looked for, unless it shall be told what could go on there.
        return match(rest, at, captures.merge(qualities: taken), &found) if @quiet && @tokens[at].nil?

        start = taken.any? && node.separated ? comma(at) : at
        if start
          each_quality(node, start) do |quality, values, after|
            qualities(node, rest, after, captures, taken + [[quality, values]], &found)
          end
        end
        # a comma may stand before the first quality as well
        if taken.empty? && node.separated && comma(at)
          each_quality(node, at + 1) { |quality, values, after| qualities(node, rest, after, captures, [[quality, values]], &found) }
        end
        expect(at, "a closing quote") if @tokens[at]&.unclosed?
        match(rest, at, captures.merge(qualities: taken), &found)
      end

      def comma(at)
        return at + 1 if @tokens[at]&.mark? && @tokens[at].text == ","

        expect(at, "a comma") if @tokens[at]
        nil
      end

      def each_quality(node, at)
        Grammar.qualities(node.kind).each { |quality| match(quality.nodes, at, {}) { |after, values| yield quality, values, after } }
      end

      def slot_stops(following, token)
        first = following.first
        case first
        when Pattern::Qualities
          Grammar.leading_slots(first.kind).any? { |slot| slot.stops?(token) }
        when Pattern::Slot
          Slots.fetch(first.slot).stops?(token)
        else
          false
        end
      end
    end
  end
end
