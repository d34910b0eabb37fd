# frozen_string_literal: true

require "diff/lcs"

module Basalt
  module Statements
    # A reading that somebody edited, taken back as changes: a sentence added is said, one
    # struck is taken back, one altered alters what it told. A sentence that cannot be
    # understood is left out and told with the reason; it blocks none of the others.
    class ReadingPatch
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
        @lines = { before:, after: }
        @refused = []
        @made = {}
      end

      attr_reader :refused

      # @return [Change::Draft]
      def into(draft)
        return draft unless whole

        @told =
          Unparser.new(@set).sentences(@sheet_id).each_with_object({}) { |(id, lines), told| lines.each { |line| told[line] ||= id } }
        struck, rest = hunks.partition { |hunk| hunk.text.nil? }
        say_all(draft, rest.sort_by { |hunk| [turn(hunk), hunk.index] })
        struck.each { |hunk| attempt(draft, hunk) { |trial| delete(trial, hunk.old) } }
        MovedLines.new(draft, @sheet_id, @after.each_with_index.map { |line, index| @made[index] || @told[line] }).settle
        draft
      end

      private

      # Sentences as they would stand outside of blocks; what opens and closes these tells nothing by itself.
      #
      # @return [Boolean] whether all blocks are closed; otherwise nothing is taken
      def whole
        @before, @after =
          @lines
            .values_at(:before, :after)
            .map { |lines| Blocks.of(lines).map { |piece| piece.mark ? "" : Blocks.whole(piece, context(@set)).strip } }
        true
      rescue Misread => e
        @refused << Refused.new(index: e.line - 1, text: @lines[:after][e.line - 1].to_s.strip, reason: e.on_line(nil).message)
        false
      end

      # What is known is altered under the name it has before it gets another.
      def turn(hunk)
        return 2 unless hunk.old

        read(@set, hunk.old)[1]&.declares ? 1 : 0
      end

      # What stands in another order only is not different.
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

      def attempt(draft, hunk)
        trial = Change::Draft.new(draft)
        yield trial
        effect = trial.effect
        @made[hunk.index] = MovedLines.told_by(effect) if hunk.text
        draft.merge(trial)
        true
      rescue Mistake => e
        refuse(hunk, e)
      end

      def refuse(hunk, error)
        @refused << Refused.new(
          index: hunk.index || @after.length,
          text: written(hunk),
          reason: (error.is_a?(Misread) ? error.on_line(nil) : error).message
        )
        false
      end

      def written(hunk) = hunk.text ? @lines[:after][hunk.index].strip : hunk.old

      # One sentence may need what another makes: those that fail are tried again after the rest.
      def say_all(draft, hunks)
        loop do
          left = hunks.reject { |hunk| attempt(draft, hunk) { |trial| take(trial, hunk) } }
          break if left.empty? || left.length == hunks.length

          @refused.reject! { |refused| left.any? { |hunk| hunk.index == refused.index } }
          hunks = left
        end
      end

      def context(set) = Context.new(set, sheet_id: @sheet_id)
      def read(set, line) = Line.read(line, context(set))
      def say(draft, line) = Document.new(line).into(draft, sheet_id: @sheet_id)

      def take(draft, hunk) = hunk.old ? alter(draft, hunk) : say(draft, hunk.text)

      def alter(draft, hunk)
        _, form, said = read(@set, hunk.old)
        _, other, instead = read(draft, hunk.text)
        id = @told[hunk.old]
        return delete(draft, hunk.old) && say(draft, hunk.text) unless form && other && draft.element(id) && alike_forms?(form, other)

        withdraw(draft, form, said, id, instead)
        declared(draft, other, id) if form.declares
        say_instead(draft, hunk, form, id)
      end

      def alike_forms?(one, other)
        one.source == other.source || (one.declares && other.declares && one.declares[0] == other.declares[0])
      end

      # A server that is said to be a storage is one from now on.
      def declared(draft, form, id)
        draft.apply(form.declares[1].map { |fact, value| Change::Set.new(id:, fact:, value:) })
      end

      # Takes back what the old sentence said, keeping what it is about.
      def withdraw(draft, form, said, id, instead)
        return form.retract.call(context(draft), said, instead) if form.retract

        element = draft.element(id)
        rename(draft, element, instead) if form.declares
        said.fetch(:qualities, []).each { |quality, _| quality.clear(context(draft), draft.element(id)) }
        clear(draft, element) if element.relation?
      end

      def rename(draft, element, instead)
        name = instead[:name]&.then { |given| Model::Names.clean(given.to_str) }
        if name && name != element.name && draft.named(name).any? { |other| other.kind == element.kind }
          raise Mistake, "#{name} is there already"
        end

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
        made =
          draft
            .elements
            .touched
            .filter_map { |touched| draft.element(touched) }
            .any? { |element| element.ordinal > before && element.relation? }
        draft.apply(Change::Remove.new(id:)) if made && !form.declares && form.retract.nil? && draft.element(id)&.relation?
      end

      def delete(draft, line)
        _, form, said = read(@set, line)
        id = @told[line]
        return true unless form && id && draft.element(id) && !still_said?(draft, draft.element(id))

        form.retract ? form.retract.call(context(draft), said, nil) : delete_element(draft, draft.element(id))
        true
      end

      # Another sentence of the edited text may tell the same by now.
      def still_said?(draft, element)
        @after.intersect?(Unparser.new(draft).tell(element).first(1)) && element.relation?
      end

      # A thing that stands elsewhere too leaves this sheet alone.
      def delete_element(draft, element)
        if element.relation?
          alike(draft, element).each { |relation| draft.apply(Change::Remove.new(id: relation.id)) }
        elsif (draft.sheets_of(element.id) - [@sheet_id]).any?
          draft.apply(Change::TakeOff.new(sheet_id: @sheet_id, element_id: element.id))
        else
          draft.apply(Change::Remove.new(id: element.id))
        end
      end

      # Relations that one sentence tells together.
      def alike(draft, relation)
        draft
          .relations_of(relation.targets.first, relation.kind)
          .select { |other| other.ends == relation.ends && other.facts == relation.facts }
      end
    end
  end
end
