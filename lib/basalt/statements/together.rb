# frozen_string_literal: true

module Basalt
  module Statements
    # Lines of an edited reading that mean something only together, such as the steps of one thing, whose numbers follow from their order:
    # what they tell of becomes what they say as a whole. A form says how, by an object that answers +key+ (of a context and the captures:
    # the id of what a line belongs to, or nil) and +rewrite+ (of a draft, the sheet, that id, and pairs of a line's index and captures).
    class Together
      # What a line says, where it is one of these.
      Said = Value.of(:index, :captures, :by)

      # @param set [Model::WorkingSet] what the reading was of
      def initialize(set, sheet_id, before, after)
        @set = set
        @sheet_id = sheet_id
        @texts = { before:, after: }
        @groups = @texts.transform_values { |lines| grouped(lines) }
      end

      # @return [Array(Array<String>, Array<String>)] the lines before and after, without those that are taken together
      def rest
        @texts.map do |time, lines|
          taken = @groups[time].each_value.flat_map { |said| said.map(&:index) }.to_set
          lines.each_with_index.map { |line, index| taken.include?(index) ? "" : line }
        end
      end

      # @yieldparam index [Integer] of the first line that was altered
      # @yieldparam rewriting [#call] gets a draft
      def each
        (@groups[:before].keys | @groups[:after].keys).each do |key|
          before, after = %i[before after].map { |time| @groups[time].fetch(key, []) }
          next if texts(:before, before) == texts(:after, after)

          lines = after.map { |one| [one.index, one.captures] }
          yield after.first&.index, ->(draft) { (before + after).first.by.rewrite(draft, @sheet_id, key, lines) }
        end
      end

      private

      def texts(time, said) = said.map { |one| @texts[time][one.index] }

      def grouped(lines)
        found = lines.each_with_index.filter_map { |line, index| said(line, index) if Grammar.together_words.include?(line[/\A\S+/]) }
        found.group_by(&:first).transform_values { |pairs| pairs.map(&:last) }
      end

      # @return [Array(String, Said), nil]
      def said(line, index)
        context = Context.new(@set, sheet_id: @sheet_id)
        form, captures = Line.understood(line, context)
        key = form&.together&.key(context, captures) or return
        [key, Said.new(index:, captures:, by: form.together)]
      end
    end
  end
end
