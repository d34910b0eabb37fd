# frozen_string_literal: true

require "diff/lcs"

module Basalt
  module Statements
    # What somebody altered in the lines of a reading: which sentence stands in the place of which.
    class EditedLines
      # A line of the reading as it was, one in its place, or one of the two alone; +index+ counts the lines as they are now.
      Hunk = Struct.new(:old, :index, :text)

      # @param set [Model::WorkingSet] what the reading was of
      # @param before [Array<String>] sentences as the editing began, without blocks
      # @param after [Array<String>] sentences as they are now, without blocks
      def initialize(set, sheet_id, before, after)
        @set = set
        @sheet_id = sheet_id
        @before = before
        @after = after
      end

      # What stands in another order only is not different.
      #
      # @return [Array<Hunk>]
      def hunks
        found = Diff::LCS.sdiff(@before, @after).reject { |change| change.action == "=" }
        gone =
          found.filter_map do |change|
            Hunk.new(change.old_element, change.new_position) if change.old_element && !Line.empty?(change.old_element)
          end
        come =
          found.filter_map do |change|
            Hunk.new(nil, change.new_position, change.new_element) if change.new_element && !Line.empty?(change.new_element)
          end
        drop_moved(gone, come)
        pair(gone, come) { |hunk| topic(hunk) }
        # What was overwritten with something that cannot be understood is not lost.
        pair(gone, come) { |hunk| [hunk.text && read(scratch, hunk.text)[1] ? nil : hunk.index] }
        pair(gone, come) { |hunk| [hunk.index, read(hunk.text ? scratch : @set, hunk.text || hunk.old)[1]&.source] }
        gone + come
      end

      private

      def drop_moved(gone, come)
        gone.reject! do |old|
          at = come.index { |one| one.text == old.old } or next
          come.delete_at(at)
        end
      end

      # A sentence that tells of the same in another way stands in the place of the old one.
      def pair(gone, come)
        open = come.reject(&:old).group_by { |hunk| yield hunk }
        gone.reject! do |old|
          key = yield old
          match = key && key.none?(&:nil?) && open[key]&.shift or next
          match.old = old.old
        end
      end

      # What a sentence is about: its form, and the names in it.
      def topic(hunk)
        _, form, said = read(hunk.text ? scratch : @set, hunk.text || hunk.old)
        return [nil] unless form
        return form.declares[0].name, title(form, said) if form.declares

        [form.source, *said.values.flatten(1).grep(Model::Element).map(&:name)]
      end

      # The model with all that the edited text declares, to understand its sentences by.
      def scratch
        @scratch ||=
          Change::Draft
            .new(@set)
            .tap do |draft|
              @after.each do |line|
                _, form, said = read(draft, line)
                next unless form&.declares && known(draft, form, said).nil?

                trial = Change::Draft.new(draft)
                say(trial, line)
                draft.merge(trial)
              rescue Mistake
                next
              end
            end
      end

      def title(form, said) = Model::Names.clean((said[:name] || form.declares[2]).to_str)

      def known(set, form, said)
        set.named(title(form, said)).find { |element| element.kind == form.declares[0].name }
      end

      def read(set, line) = Line.read(line, Context.new(set, sheet_id: @sheet_id))
      def say(draft, line) = Document.new(line).into(draft, sheet_id: @sheet_id)
    end
  end
end
