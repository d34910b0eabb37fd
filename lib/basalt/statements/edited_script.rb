# frozen_string_literal: true

require "diff/lcs"

module Basalt
  module Statements
    # The lines of a reading that stand in order, as somebody edited them: each is the one it was, another in its place, one that was
    # moved, or a new one; the notation's script makes the model say them so.
    class EditedScript
      # A line as it is now: +index+ counts all lines, +id+ is of what it told of before.
      Row = Struct.new(:index, :text, :id, :before)

      # @param set [Model::WorkingSet] what the reading was of
      # @param before [Array<String>] lines as the editing began
      # @param after [Array<String>] lines as they are now
      def initialize(set, sheet_id, before, after)
        @set = set
        @sheet_id = sheet_id
        @before = before
        @after = after
        @refused = []
      end

      # @return [Array<ReadingPatch::Refused>]
      attr_reader :refused

      # @return [Array(Array<String>, Array<String>)] the other lines, before and after; what stands in order is left empty
      def rest
        [@before.map { |line| ordered?(line) ? "" : line }, @after.each_index.map { |index| own.include?(index) ? "" : @after[index] }]
      end

      # @param draft [Change::Draft]
      def into(draft)
        rows = paired(before_rows, after_rows)
        return draft if rows.map(&:text) == before_rows.map(&:text)

        said = rows.filter_map { |row| said(draft, row) }
        gone = before_rows.filter_map(&:id) - rows.filter_map(&:id)
        draft.sheets[@sheet_id].notation.rescript(draft, @sheet_id, said, gone)
      end

      private

      def ordered?(line) = !Line.empty?(line) && !read(@set, line)[1]&.ordered.nil?

      def before_rows
        @before_rows ||=
          begin
            told = Unparser.new(@set).script(@sheet_id).map { |id, line| [line.strip, id] }
            lines = @before.each_with_index.select { |line, _| ordered?(line) }
            Diff::LCS.sdiff(lines.map(&:first), told.map(&:first)).filter_map do |change|
              # What somebody else altered meanwhile is not in the lines, and stays.
              next unless change.action == "="

              Row.new(lines[change.old_position].last, change.old_element, told[change.new_position].last)
            end
          end
      end

      def after_rows = @after_rows ||= own.sort.map { |index| Row.new(index, @after[index]) }

      # @return [Set<Integer>] lines as they are now that stand in order, and those with which one was overwritten and that say nothing
      def own
        @own ||=
          begin
            readable = @after.each_index.select { |index| ordered?(@after[index]) }
            broken = Diff::LCS.sdiff(@before, @after).select do |change|
              change.action == "!" && ordered?(change.old_element) && broken?(change.new_element)
            end
            (readable + broken.map(&:new_position)).to_set
          end
      end

      def broken?(line) = !Line.empty?(line) && read(@set, line)[1].nil?

      # Those that say the same are the same, those that were moved too, and what stands in the place of another.
      def paired(before, after)
        changes = Diff::LCS.sdiff(before.map(&:text), after.map(&:text))
        same, open = changes.partition { |change| change.action == "=" }
        same.each { |change| take(after[change.new_position], before[change.old_position]) }
        left = open.select(&:old_element).map { |change| before[change.old_position] }
        open.select(&:new_element).map { |change| after[change.new_position] }.each do |row|
          left.index { |old| old.text == row.text }&.then { |at| take(row, left.delete_at(at)) }
        end
        changes.slice_when { |one, other|
          [one, other].any? { |change|
            change.action == "="
          }
        }.each { |run| replace(run, before, after, left) }
        after
      end

      # Within a run of altered lines, in their order, those that say something of the same sort; what says nothing, any.
      def replace(run, before, after, left)
        run = run.reject { |change| change.action == "=" }
        old = run.select(&:old_element).map { |change| before[change.old_position] } & left
        run.select(&:new_element).map { |change| after[change.new_position] }.reject(&:before).each do |row|
          at = old.index { |one| broken?(row.text) || sort(one.text) == sort(row.text) } or next
          take(row, old.delete_at(at))
        end
      end

      def take(row, old)
        row.id = old.id
        row.before = old.text
      end

      def sort(text) = said_of(@set, text).then { |line| [line.role, line.kind] }

      # @return [Array(Row, Object)] what a line says; what cannot be said is refused, and what stood there stays
      def said(draft, row)
        [row, said_of(draft, row.text)]
      rescue Mistake => e
        @refused << ReadingPatch::Refused.new(index: row.index, text: row.text, reason: (e.is_a?(Misread) ? e.on_line(nil) : e).message)
        row.before ? [row, said_of(draft, row.before)] : nil
      end

      def said_of(set, text)
        matcher, form, captures = read(set, text)
        raise matcher.misread unless form

        form.ordered.call(captures)
      end

      def read(set, line) = Line.read(line, Context.new(set, sheet_id: @sheet_id))
    end
  end
end
