# frozen_string_literal: true

module Basalt
  module Statements
    # Whether a line declares something, seen from its head alone, whatever its qualities say: what it declares is made
    # before any other line is read.
    module Declaration
      FIRST_WORD = /[^\s,;()":]+/
      private_constant :FIRST_WORD

      module_function

      # What the head of a line says: the +form+, what it captures, whether behind that it may be said what the thing is +joined+
      # to, and whether the head is the +whole+ of it, and can mean nothing else.
      Head = Value.of(:form, :said, :joined, :whole)

      # @return [Head, nil]
      def of(line, context)
        word = line[FIRST_WORD]
        notation_name = context.notation_name
        return if Grammar.declaring(word, notation_name).empty?

        matcher = Matcher.new(line, context, quiet: true)
        first = true
        Grammar.declaring(matcher.token(0)&.text, notation_name).each do |form|
          matcher.heading(form) do |said, after|
            whole = first && matcher.token(after).nil? && Grammar.only_declares?(word, notation_name)
            first = false
            return Head.new(form:, said:, joined: joined?(matcher, after), whole:) if declares?(matcher, form, after)
          end
        end
        nil
      end

      # What follows the name is a quality and not the rest of a sentence about the thing.
      def declares?(matcher, form, after)
        token = matcher.token(after)
        token.nil? || token.mark? || token.quoted? || !Grammar.verbs.include?(token.text) ||
          Grammar.begins?(form.nodes.last(1), token.text)
      end

      # Such a line is read whole, when the others are declared.
      def joined?(matcher, after)
        after += 1 if matcher.token(after)&.literal?(",")
        token = matcher.token(after)
        !token.nil? && token.word? && Grammar.late_words.include?(token.text)
      end
    end
  end
end
