# frozen_string_literal: true

module Basalt
  module Statements
    # A sentence of a form, built with the names at hand.
    module Example
      module_function

      # @param form [Form]
      # @param context [Context]
      # @return [String, nil] nil where nothing is known that it could be about, or it would not be taken
      def of(form, context)
        words = form.nodes.map { |node| word(node, context) }
        return if words.include?(nil)

        sentence = words.reject(&:empty?).join(" ")
        sentence if Line.right?(sentence, context)
      end

      # @return [String, nil] nothing for what may be left out, nil where there is nothing to say
      def word(node, context)
        case node
        when Pattern::Literal
          node.words.first
        when Pattern::Slot
          filled(node, context)
        else
          ""
        end
      end

      def filled(slot, context)
        case slot.slot
        when :thing, :things
          thing(Slots.kinds(slot.arguments), context)
        when :new, :name
          "Name"
        else
          Slots.fetch(slot.slot).then { |reader| reader.respond_to?(:sample) ? reader.sample : nil }
        end
      end

      # One that stands on the sheet, or any.
      def thing(kinds, context)
        draft = context.draft
        found =
          here(kinds, context) ||
          kinds.lazy.flat_map { |kind| draft.elements.ids_by(:kind, kind) }.map { |id| draft.element(id) }.find(&:name) or return
        Quoting.doubtful?(found.name) ? Quoting.quote(found.name) : found.name
      end

      def here(kinds, context)
        context.sheet_id && context.draft.placed_on(context.sheet_id).find { |one| one.name && !one.relation? && kinds.include?(one.kind) }
      end
    end
  end
end
