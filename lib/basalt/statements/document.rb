# frozen_string_literal: true

module Basalt
  module Statements
    # A text of many statements, read in passes so that a thing may be used above its
    # declaration.
    class Document
      # Characters; more is refused before it is read.
      LIMIT = 10_000_000

      # @param text [String]
      # @raise [Mistake] when it is no text
      def initialize(text)
        @lines = Document.clean(text).lines(chomp: true)
      end

      # @return [String] UTF-8 without a byte-order mark
      # @raise [Mistake] when the bytes are not text
      def self.clean(text, limit: LIMIT)
        raise Refusals::TooLarge.new("the text", limit) if text.bytesize > limit

        text = text.dup.force_encoding("UTF-8").delete_prefix("\uFEFF")
        raise Mistake, "this is not text in UTF-8" unless text.valid_encoding?
        raise Refusals::Binary if text.include?("\0")

        text
      end

      # Takes all of the text, or none of it.
      #
      # @param draft [Change::Draft] not to be used when it is refused
      # @return [Change::Draft]
      # @param cursor [Object, nil] see Context#cursor; where the first line that stands in order goes
      # @yieldparam context [Context] when all is said
      # @raise [Misread] with the line number; of several lines all of them
      def into(draft, sheet_id: nil, cursor: nil)
        @misread = {}
        # Of lines that are read whole when they are declared, what they say.
        @heads = {}
        @pieces = Blocks.of(@lines, draft.sheets[sheet_id.to_s]&.notation_name, whole: sheet_id.nil?)
        declare(draft, draft.sheets[sheet_id.to_s]&.notation_name)
        context = Context.new(draft, sheet_id:)
        context.cursor = cursor
        later = []
        each_statement do |line, number, piece|
          on_line(number) do
            if (head = @heads[number])
              Line.act(head.form, head.said.merge(qualities: []), context)
            elsif at_once?(line, context, piece) || opening?(line, context, piece)
              Line.take(line, context)
            else
              later << [piece, number, context.sheet_id]
            end
          end
        end
        context.sheet_id = sheet_id
        context.cursor = cursor
        last = later.reject { |line| take_on(context, *line) { |form| !form.late? } && !@misread.key?(line[1]) }
        # What another line makes is there by now.
        why = last.to_h { |_, number, _| [number, @misread.delete(number)] }
        last.each { |line| take_on(context, *line) { |form| in_its_place?(form, line[1], why) } }
        raise Misread.all(@misread.sort.map(&:last)) if @misread.any?

        yield context if block_given?
        draft
      end

      private

      # A declaration is taken where it stands, unless it says what the thing is joined to.
      def at_once?(line, context, piece)
        return false if piece.head

        head = Declaration.of(line, context)
        return !head.nil? unless head&.joined

        _, read, said = Line.read(line, context)
        read.nil? || (!read.declares.nil? && said.fetch(:qualities, []).none? { |quality, _| quality.late? })
      end

      # What stands in order cannot be said after what follows it.
      def in_its_place?(form, number, why)
        return true unless form.ordered

        @misread[number] = why[number]
        false
      end

      def take_on(context, piece, number, sheet_id, &)
        context.sheet_id = sheet_id
        on_line(number) do
          Line.take(Blocks.whole(piece, context), context, &)
        rescue Misread => e
          raise piece.head ? Blocks.told_of(piece, e) : e
        end
      end

      def each_statement
        @pieces
          .each
          .with_index(1) { |piece, number| yield piece.text, number, piece unless Line.empty?(piece.text) || piece.mark == :close }
      end

      # The first pass makes what is declared, without qualities. What is told from its
      # namesakes by place waits until its place is known.
      def declare(draft, notation_name)
        context = Context.new(draft)
        context.notation_name = notation_name
        waiting = []
        each_statement do |line, number, piece|
          next if piece.head

          on_line(number) do
            next context.notation_name = opened(line, context) if line.match?(SHEET)

            head = Declaration.of(line, context)
            # What belongs to its sheet is made where it stands.
            next if head.nil? || head.form.declares[0].local
            next waiting << [line, context.notation_name] if head.joined

            @heads[number] = head if head.whole
            waiting << [line, context.notation_name] unless made?(line, head, context)
          end
        end
        declare_placed(waiting, context)
      end

      def made?(line, head, context)
        placed?(head.form) && !head.whole ? placed_now?(line, context) : make(head.form, head.said, context)
      end

      SHEET = /\A\s*sheet\s/
      private_constant :SHEET

      # @return [String, nil] the notation of the sheet to which a line turns
      def opened(line, context)
        _, form, said = Line.read(line, context)
        CommonForms::OPENINGS.include?(form) ? said[:notation] : context.notation_name
      end

      # What is told by its place is made in its turn where the place is known.
      def placed_now?(line, context)
        _, form, said = Line.read(line, context)
        form&.declares && make(form, said, context)
      end

      # Lines that say on what the following stand keep their place.
      def opening?(line, context, piece)
        if piece.head && line.match?(/\A\s*sheet\s.*:/)
          raise Misread.new("a block is closed with “#{Blocks::CLOSE}” before the next sheet")
        end

        piece.head.nil? && line.match?(/\A\s*(project|sheet)\s/) && CommonForms::OPENINGS.include?(Line.read(line, context)[1])
      end

      def placed?(form) = form.declares[0].distinct_by.include?("container")

      def declare_placed(waiting, context)
        until waiting.empty?
          left =
            waiting.reject do |line, notation_name|
              context.notation_name = notation_name
              placed_now?(line, context)
            end
          break if left.length == waiting.length

          waiting = left
        end
      end

      def make(form, said, context)
        kind, facts, unnamed = form.declares
        context.declare(kind, said[:name] || unnamed, facts, said)
      end

      # The others are looked at all the same, so that all that is wrong is told at once.
      def on_line(number)
        yield
      rescue Misread => e
        @misread[number] ||= e.on_line(number)
      rescue Mistake => e
        @misread[number] ||= Misread.new(e.message, line: number)
      end
    end
  end
end
