# frozen_string_literal: true

module Basalt
  module Model
    # Names of which one may have been meant by what was typed. Names that share too few characters with it cannot be near it, and
    # only the likeliest of the others are compared: the cost stays small whatever the number of names.
    class NearNames
      # Letters of a name that are compared, and how many names are.
      LONGEST = 60
      LIKELY = 40
      private_constant :LONGEST, :LIKELY

      # @param names [Array<String>]
      def initialize(names)
        @names = names.map { |name| name.downcase[0, LONGEST].then { |small| [name, small, marks(small)] } }
      end

      # @return [String, nil] the closest to a text, when one is close
      def to(text)
        wanted = text.downcase[0, LONGEST]
        most = [wanted.length / 2, 1].max
        best = likely(wanted, most).min_by { |_, small| Names.distance(wanted, small) } or return
        best.first if Names.distance(wanted, best.last) <= most
      end

      private

      def likely(wanted, most)
        letters = marks(wanted)
        found =
          @names.filter_map do |name, small, marks|
            next if (name.length - wanted.length).abs > most

            apart = (marks ^ letters).to_s(2).count("1")
            [apart, name, small] if apart <= 2 * most
          end
        found.min_by(LIKELY, &:first).map { |_, name, small| [name, small] }
      end

      # A bit for each character that occurs.
      def marks(text) = text.each_codepoint.reduce(0) { |bits, code| bits | (1 << (code & 63)) }
    end
  end
end
