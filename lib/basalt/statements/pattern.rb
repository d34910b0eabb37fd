# frozen_string_literal: true

module Basalt
  module Statements
    # The written form of a statement, compiled to nodes. In a pattern
    # +word+ stands for itself, +<name:slot(args)>+ for a slot, +[...]+ may be left out,
    # +a|an+ is a choice of words and +{qualities}+ is a list of the kind's qualities.
    class Pattern
      # +label+ is how a reason tells of the words.
      Literal = Value.of(:words, :label)
      Slot = Value.of(:name, :slot, :arguments)
      Maybe = Value.of(:nodes)
      Qualities = Value.of(:kind, :separated)

      PIECE = /
        \G\s*(?:(?<open>\[) | (?<close>\]) | <(?<name>\w+):(?<slot>\w+)(?:\((?<arguments>[^)]*)\))?> | \{(?<kind>[^}]*)\} |
        (?<word>[^\s\[\]<>{}]+))
      /x

      # @return [Array] nodes
      def self.compile(source)
        new(source).nodes
      end

      def initialize(source)
        @pieces = []
        position = 0
        while (match = PIECE.match(source, position))
          @pieces << match
          position = match.end(0)
        end
      end

      def nodes
        built = []
        while (piece = @pieces.shift)
          break if piece[:close]

          built << node(piece)
        end
        built.freeze
      end

      private

      def node(piece)
        if piece[:open]
          Maybe.new(nodes:)
        elsif piece[:slot]
          Slot.new(name: piece[:name].to_sym, slot: piece[:slot].to_sym, arguments: piece[:arguments].to_s.split("|"))
        elsif piece[:kind]
          Qualities.new(kind: piece[:kind].delete_suffix(" in a row"), separated: !piece[:kind].end_with?(" in a row"))
        else
          words = piece[:word].split("|")
          Literal.new(words:, label: words.map { |word| "“#{word}”" }.join(" or "))
        end
      end
    end
  end
end
