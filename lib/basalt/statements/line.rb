# frozen_string_literal: true

module Basalt
  module Statements
    # One statement, said in a context.
    module Line
      module_function

      def empty?(text) = text.match?(/\A\s*(#|\z)/)

      # Takes the statement into the context's draft.
      #
      # @yieldparam form [Form] asks whether to take it now
      # @return [Form, nil] the form it had; nil for an empty line, a comment, or where it is not to be taken now
      # @raise [Misread] when it cannot be understood or made; the draft is not to be used then
      def take(text, context)
        return if empty?(text)

        matcher, form, said = read(text, context)
        raise matcher.misread unless form

        return if block_given? && !yield(form)

        act(form, said, context)
      end

      # Does what a line says that was read before.
      #
      # @return [Form]
      # @raise [Misread]
      def act(form, said, context)
        form.action.call(context, said)
        form
      rescue Misread
        raise
      rescue Mistake => e
        raise Misread.new(e.message)
      end

      # @return [Boolean] whether a statement would be taken there; nothing is altered
      def right?(text, context)
        trial = Context.new(Change::Draft.new(context.draft), sheet_id: context.sheet_id)
        _, form, said = read(text, trial)
        form&.action&.call(trial, said)
        !form.nil?
      rescue Mistake
        false
      end

      # @return [Array(Matcher, Form, Hash)] form and captures are nil when nothing fits
      def read(text, context)
        matcher = Matcher.new(text, context, quiet: true)
        form, said = fitting(matcher)
        return [matcher, form, said] if form

        # Why nothing fits is told by how far each of them came.
        matcher = Matcher.new(text, context)
        [matcher, *first(Grammar.forms_for(matcher.token(0)&.text, context.notation_name), matcher)]
      end

      # @return [Misread] what else could stand in a line that has a form, and lacks what is needed there
      def lacking(text, context)
        matcher = Matcher.new(text, context)
        first(Grammar.forms_for(matcher.token(0)&.text, context.notation_name), matcher)
        matcher.misread
      end

      # @return [Array(Form, Hash)] nil where nothing fits, and it does not matter why
      def understood(text, context) = fitting(Matcher.new(text, context, quiet: true))

      def fitting(matcher)
        first(Grammar.possible(matcher.token(0)&.text, matcher.words, matcher.context.notation_name), matcher)
      end

      # @return [Array(Form, Hash)] the first that fits, and what it captures
      def first(forms, matcher)
        forms.each do |form|
          said = matcher.fit(form)
          return [form, said] if said
        end
        [nil, nil]
      end
      private_class_method :first, :fitting
    end
  end
end
