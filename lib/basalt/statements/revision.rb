# frozen_string_literal: true

require "diff/lcs"

module Basalt
  module Statements
    # A reading that somebody edited, taken back as changes: a sentence added is said, one
    # struck is taken back, one altered alters what it told. A sentence that cannot be
    # understood is left out and told with the reason; it blocks none of the others.
    class Revision
      # +index+ counts the lines of the edited text from 0.
      Refused = Value.of(:index, :text, :reason)
      # A line of the reading as it was, one in its place, or one of the two alone.
      Hunk = Struct.new(:old, :index, :text)

      # @param set [Model::WorkingSet] what the reading was of
      # @param before [Array<String>] lines as the editing began
      # @param after [Array<String>] lines as they are now
      def initialize(set, sheet_id, before, after)
        @set = set
        @sheet_id = sheet_id
        @hunks = hunks(before.map(&:strip), after.map(&:strip))
        @refused = []
      end

      attr_reader :refused

      # @return [Change::Draft]
      def into(draft)
        @told = Teller.new(@set).sentences(@sheet_id).each_with_object({}) { |(id, lines), told| lines.each { |line| told[line] ||= id } }
        altered, rest = @hunks.partition { |hunk| hunk.old && hunk.text }
        struck, added = rest.partition(&:old)
        declared, others = altered.partition { |hunk| read(@set, hunk.old)[1]&.declares }
        (declared + others).each { |hunk| attempt(draft, hunk) { |trial| alter(trial, hunk) } }
        say_all(draft, added)
        struck.each { |hunk| attempt(draft, hunk) { |trial| strike(trial, hunk.old) } }
        draft
      end

      private

      # What stands in another order only is not different.
      def hunks(before, after)
        moved = before.tally
        found = Diff::LCS.sdiff(before, after).reject { |change| change.action == "=" }.map { |change| Hunk.new(change.old_element, change.new_position, change.new_element) }
        gone = found.filter_map(&:old)
        come = found.filter_map(&:text)
        same = gone.select { |line| come.include?(line) && moved[line] }
        found.each { |hunk| parted(hunk, same) }
        found.reject { |hunk| [hunk.old, hunk.text].all? { |line| line.nil? || line.empty? || line.start_with?("#") } }
      end

      def parted(hunk, same)
        hunk.old = nil if hunk.old.nil? || hunk.old.empty? || same.include?(hunk.old)
        hunk.text = nil if hunk.text.nil? || Line.empty?(hunk.text) || same.include?(hunk.text)
      end

      def attempt(draft, hunk)
        trial = Change::Draft.new(draft)
        yield trial
        trial.effect
        draft.absorb(trial)
        true
      rescue Mistake => e
        refuse(hunk, e)
      end

      def refuse(hunk, error)
        @refused << Refused.new(index: hunk.index, text: hunk.text || hunk.old, reason: (error.is_a?(Misread) ? error.on_line(nil) : error).message)
        false
      end

      # One sentence may need what another makes: those that fail are tried again after the rest.
      def say_all(draft, hunks)
        loop do
          left = hunks.reject { |hunk| attempt(draft, hunk) { |trial| say(trial, hunk.text) } }
          break if left.empty? || left.length == hunks.length

          @refused.reject! { |refused| left.any? { |hunk| hunk.index == refused.index } }
          hunks = left
        end
      end

      def context(set) = Context.new(set, sheet_id: @sheet_id)
      def read(set, line) = Line.read(line, context(set))
      def say(draft, line) = Document.new(line).into(draft, sheet_id: @sheet_id)

      def alter(draft, hunk)
        _, form, said = read(@set, hunk.old)
        _, other, instead = read(draft, hunk.text)
        id = @told[hunk.old]
        return strike(draft, hunk.old) && say(draft, hunk.text) unless form && other && form.source == other.source && draft.element(id)

        withdraw(draft, form, said, id, instead)
        say_instead(draft, hunk, form, id)
      end

      # Takes back what the old sentence said, keeping what it is about.
      def withdraw(draft, form, said, id, instead)
        return form.unsay.call(context(draft), said, instead) if form.unsay

        element = draft.element(id)
        rename(draft, element, instead) if form.declares
        said.fetch(:qualities, []).each { |quality, _| quality.clear(context(draft), draft.element(id)) }
        clear(draft, element) if element.relation?
      end

      def rename(draft, element, instead)
        name = instead[:name]&.then { |given| Model::Names.clean(given.to_str) }
        draft.apply(Change::Set.new(id: element.id, fact: "name", value: name)) if name && name != element.name
      end

      def clear(draft, relation)
        facts = relation.facts.keys - ["note"]
        draft.apply(facts.map { |fact| Change::Set.new(id: relation.id, fact:, value: nil) })
      end

      # Where the new sentence made another relation, the old one has no sentence any more.
      def say_instead(draft, hunk, form, id)
        before = draft.elements.ceiling
        say(draft, hunk.text)
        made = draft.elements.touched.filter_map { |touched| draft.element(touched) }.any? { |element| element.ordinal > before && element.relation? }
        draft.apply(Change::Remove.new(id:)) if made && !form.declares && form.unsay.nil? && draft.element(id)&.relation?
      end

      def strike(draft, line)
        _, form, said = read(@set, line)
        id = @told[line]
        return true unless form && id && draft.element(id)

        form.unsay ? form.unsay.call(context(draft), said, nil) : strike_element(draft, draft.element(id))
        true
      end

      # A thing that stands elsewhere too leaves this sheet alone.
      def strike_element(draft, element)
        if element.relation? then alike(draft, element).each { |relation| draft.apply(Change::Remove.new(id: relation.id)) }
        elsif (draft.sheets_of(element.id) - [@sheet_id]).any? then draft.apply(Change::TakeOff.new(sheet_id: @sheet_id, element_id: element.id))
        else draft.apply(Change::Remove.new(id: element.id))
        end
      end

      # Relations that one sentence tells together.
      def alike(draft, relation)
        draft.relations_of(relation.targets.first, relation.kind).select { |other| other.ends == relation.ends && other.facts == relation.facts }
      end
    end
  end
end
