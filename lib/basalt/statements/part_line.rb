# frozen_string_literal: true

module Basalt
  module Statements
    # A part of a thing as a line of text: what its sentence says behind “has”.
    class PartLine
      # @param set [Model::WorkingSet, Change::Draft]
      # @param sheet_id [String] on which the owner stands
      # @param owner [Model::Element]
      def initialize(set, sheet_id, owner)
        raise Mistake, "A #{owner.kind} without a name has no rows to edit" if owner.name.nil?

        @set = set
        @sheet_id = sheet_id
        @owner = owner
        @unparser = Unparser.new(set)
      end

      # @return [String]
      def of(part) = behind(@unparser.say(*subject, *notation.part_words(@unparser, part)))

      # A line in the place of another, or a new one; the model then says that and no more.
      #
      # @param part [Model::Element, nil] nil for a new one
      # @return [Change::Draft]
      # @raise [Mistake] with the place, counted from the beginning of the line
      def put(draft, part, text)
        raise Mistake, "Say what is in the row" if text.strip.empty?

        sentence = "#{head}#{text.strip}"
        return Document.new(sentence).into(draft, sheet_id: @sheet_id) unless part

        old, said = read("#{head}#{of(part)}")
        form, instead = read(sentence)
        raise Mistake, "A row says what one thing has, and nothing else" unless old.equal?(form) && form.retract

        form.retract.call(Context.new(draft, sheet_id: @sheet_id), said, instead)
        Document.new(sentence).into(draft, sheet_id: @sheet_id)
      end

      # @return [Array(Integer, String), nil] the character of the line from which on it is not understood, and why; nil where it is fine
      def wrong(text)
        read("#{head}#{text}")
        nil
      rescue Misread => e
        [[(e.at || (head.length + text.length)) - head.length, 0].max, e.message]
      end

      private

      def notation = @set.sheets[@sheet_id].notation
      def subject = [@unparser.thing(@owner.id), "has"]

      # How a sentence about the owner begins.
      def head
        @head ||= @unparser.say(*subject, @unparser.name("x")).then { |sentence| sentence.delete_suffix(behind(sentence)) }
      end

      def behind(sentence) = sentence[(Tokens.of(sentence).find { |token| token.literal?("has") }.from + 4)..]

      # @return [Array(Form, Hash)]
      # @raise [Misread]
      def read(sentence)
        matcher, form, said = Line.read(sentence, Context.new(Change::Draft.new(@set), sheet_id: @sheet_id))
        form ? [form, said] : raise(matcher.misread)
      end
    end
  end
end
