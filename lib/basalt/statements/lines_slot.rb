# frozen_string_literal: true

module Basalt
  module Statements
    # A text of several lines in quotes: the end of a line stands as a backslash and n, a tab as a backslash and t, and a backslash as two
    # where it could be read as part of one of these.
    class LinesSlot
      WRITTEN = { "\\" => "\\\\", "\n" => "\\n", "\t" => "\\t" }.freeze
      READ = WRITTEN.invert.freeze
      SPECIAL = /\\[\\nt]/
      private_constant :WRITTEN, :READ, :SPECIAL

      # @param text [String] as it stands between the quotes
      # @return [String] what it says
      def self.read(text) = text.include?("\\") ? text.gsub(SPECIAL, READ) : text

      # @return [String] the text as a statement says it, in quotes
      def self.write(text) = Quoting.quote(text.match?(/[\n\t]|#{SPECIAL}/o) ? text.gsub(/[\\\n\t]/, WRITTEN) : text)

      def stops?(_token) = false

      def candidates(matcher, _node, _rest, at)
        token = matcher.token(at)
        return matcher.expect(at, "a text in double quotes") unless token&.quoted? || token&.word?

        yield LinesSlot.read(token.text), at + 1
      end

      # @return [String] the text as a statement says it
      def write(text) = LinesSlot.write(text)
    end
  end
end
