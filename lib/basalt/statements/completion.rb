# frozen_string_literal: true

module Basalt
  module Statements
    # The words that could go on from the beginning of a statement.
    class Completion
      NAMES = 400
      # Names that are looked at for those.
      LOOKED_AT = 300

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
        forms = tokens.empty? ? Grammar.forms : Grammar.forms_for(tokens.first.text, @context.notation_name)
        forms.each { |form| @matcher.fit(form) }
        return [] unless @matcher.furthest == tokens.length

        names + literals + nouns(tokens)
      end

      # @return [Array<Array(String, String)>] words that declare what the sheet draws and that another word stands for, which begins like
      #   what is typed, and that word
      def synonyms
        return [] if @partial.empty? || @matcher.tokens.any? || @context.sheet.nil?

        drawn = @context.sheet.notation.things.filter_map { |kind| Model::Catalogue.kinds[kind] }
        drawn.flat_map { |kind| kind.synonyms.to_a }.flat_map do |noun, others|
          others.select { |other| other.start_with?(@partial) }.first(1).map { |other| [noun, "kind, also #{other}"] }
        end
      end

      private

      def literals
        @matcher.expected.grep(/\A“/).flat_map { |label| label.scan(/“([^”]+)”/).flatten }.uniq.map { |word| [word, "word"] }
      end

      def nouns(tokens)
        tokens.empty? ? Model::Catalogue.words.declaring(@context.notation_name).map { |noun| [noun, "kind"] } : []
      end

      def names
        kinds = @matcher.kinds
        return [] if kinds.empty?

        known(kinds)
          .map { |e| [e.name, e.noun] }
          .uniq(&:first)
          .map { |name, noun| [Quoting.always?(name) || Quoting.doubtful?(name) ? Quoting.quote(name) : name, noun] }
      end

      def draft = @context.draft

      # Found by the index of names, or of what stands on the sheet and of kinds where no letter is typed yet: the cost does not
      # grow with what is there. What stands on the sheet comes first.
      def known(kinds)
        return (here(kinds) + listed(kinds)).first(NAMES) if @partial.empty?

        names = draft.elements.keys_beginning(:name, @partial, LOOKED_AT)
        found = names.flat_map { |name| draft.named(name) }.select { |element| kinds.include?(element.kind) }
        found.partition { |element| here?(element) }.flatten(1).first(NAMES)
      end

      def here?(element) = @context.sheet_id && draft.shown?(@context.sheet_id, element.id)

      def here(kinds)
        return [] unless @context.sheet_id

        draft.placed_on(@context.sheet_id).select { |one| one.name && !one.relation? && kinds.include?(one.kind) }.first(NAMES)
      end

      def listed(kinds)
        kinds_listed(kinds)
          .flat_map { |kind| draft.elements.ids_by(:kind, kind).first(NAMES).map { |id| draft.element(id) } }
          .select(&:name)
      end

      def kinds_listed(kinds) = Model::Catalogue.kinds.keys.select { |kind| kinds.include?(kind) }
    end
  end
end
