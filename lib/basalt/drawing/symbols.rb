# frozen_string_literal: true

module Basalt
  module Drawing
    # Symbols of a person's own, which take the place of the house's glyphs: one that is given
    # to a thing, or else one that stands for what the thing is called.
    module Symbols
      # A symbol, with its image and the word it stands for; and the relation of a thing to its own.
      KIND = "symbol"
      USE = "symbol use"

      module_function

      # @return [String, nil] id of an image
      def image_of(set, element)
        return unless set.elements.any_by?(:kind, KIND)

        (own(set, element) || standing_for(set, element.noun))&.[]("image")
      end

      def own(set, element) = set.relations_of(element.id, USE).first&.then { |use| set.element(use.target("symbol")) }
      def standing_for(set, noun) = set.of_kind(KIND).find { |symbol| symbol["stands_for"] == noun }

      # Gives a thing a symbol of its own, in place of the one it had.
      #
      # @param symbol_id [String, nil] nil takes it back
      # @return [Array] changes
      def giving(set, element, symbol_id)
        uses = set.relations_of(element.id, USE)
        return [] if uses.map { |use| use.target("symbol") } == [symbol_id].compact

        uses.map { |use| Change::Remove.new(id: use.id) } +
          (symbol_id ? [Change::Add.new(kind: USE, ends: [["thing", element.id], ["symbol", symbol_id]])] : [])
      end

      # Lets a symbol stand for a word, and no other for the same.
      #
      # @return [Array] changes
      def standing(set, noun, symbol_id)
        set
          .of_kind(KIND)
          .filter_map do |symbol|
            stands = symbol.id == symbol_id
            next if stands == (symbol["stands_for"] == noun)

            Change::Set.new(id: symbol.id, fact: "stands_for", value: stands ? noun : nil)
          end
      end

      # @param symbols [Array<Model::Element>] as they were and as they are
      # @return [Array<String>] ids of the things that may be drawn otherwise
      def dressed(set, symbols)
        words = symbols.filter_map { |symbol| symbol["stands_for"] }
        uses = symbols.flat_map { |symbol| set.relations_of(symbol.id, USE).map { |use| use.target("thing") } }
        return uses if words.empty?

        uses + set.elements.each.reject(&:relation?).select { |element| words.include?(element.noun) }.map(&:id)
      end
    end
  end
end
