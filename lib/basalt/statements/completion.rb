# frozen_string_literal: true

module Basalt
  module Statements
    # The words that could go on from the beginning of a statement.
    class Completion
      NAMES = 400

      # @param head [String] whole words
      # @param context [Context]
      def initialize(head, context)
        @matcher = Matcher.new(head, context)
        @context = context
      end

      # @return [Array<Array(String, String)>] words to type, quoted where they must be, and what they are
      def words
        tokens = @matcher.tokens
        forms = tokens.empty? ? Grammar.forms : Grammar.forms_for(tokens.first.text)
        forms.each { |form| @matcher.fit(form) }
        return [] unless @matcher.furthest == tokens.length

        names + literals + nouns(tokens)
      end

      private

      def literals
        @matcher.expected.grep(/\A“/).flat_map { |label| label.scan(/“([^”]+)”/).flatten }.uniq.map { |word| [word, "word"] }
      end

      def nouns(tokens)
        tokens.empty? ? Model::Catalogue.nouns.keys.map { |noun| [noun, "kind"] } : []
      end

      def names
        kinds = @matcher.kinds
        return [] if kinds.empty?

        here = @context.sheet_id ? @context.draft.things_on(@context.sheet_id).select { |e| kinds.include?(e.kind) } : []
        known = here.first(NAMES).map { |e| [e.name, e.noun] }
        known += @context.draft.of_kind(*kinds).first(NAMES).map { |e| [e.name, e.noun] } if known.length < NAMES
        known.uniq(&:first).map { |name, noun| [Quoting.always?(name) || Quoting.doubtful?(name) ? Quoting.quote(name) : name, noun] }
      end
    end
  end
end
