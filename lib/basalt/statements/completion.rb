# frozen_string_literal: true

module Basalt
  module Statements
    # The words that could go on from the beginning of a statement.
    class Completion
      NAMES = 400
      # Names that are looked at for those.
      LOOKED_AT = 2000

      # @param head [String] whole words
      # @param context [Context]
      # @param partial [String] what the next words begin with; only names that do are looked for
      def initialize(head, context, partial: "")
        @matcher = Matcher.new(head, context)
        @context = context
        @partial = partial.downcase
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

        known = here(kinds).first(NAMES)
        known += elsewhere(kinds).first(NAMES) if known.length < NAMES
        known
          .map { |e| [e.name, e.noun] }
          .uniq(&:first)
          .map { |name, noun| [Quoting.always?(name) || Quoting.doubtful?(name) ? Quoting.quote(name) : name, noun] }
      end

      def draft = @context.draft
      def begins?(name) = name && (@partial.empty? || name.downcase.start_with?(@partial))

      # On the sheet first.
      def here(kinds)
        return [] unless @context.sheet_id

        draft.things_on(@context.sheet_id).select { |element| kinds.include?(element.kind) && begins?(element.name) }
      end

      # Found by the index of names, or of kinds where no letter is typed yet: the cost does not grow with what is there.
      def elsewhere(kinds)
        if @partial.empty?
          return (
            kinds_listed(kinds)
              .flat_map { |kind| draft.elements.ids_by(:kind, kind).first(NAMES).map { |id| draft.element(id) } }
              .select(&:name)
          )
        end

        draft
          .elements
          .keys_beginning(:name, @partial, LOOKED_AT)
          .lazy
          .flat_map { |name| draft.named(name) }
          .select { |element| kinds.include?(element.kind) }
      end

      def kinds_listed(kinds) = Model::Catalogue.kinds.keys.select { |kind| kinds.include?(kind) }
    end
  end
end
