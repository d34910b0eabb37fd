# frozen_string_literal: true

module Basalt
  module Statements
    # One sentence of a reading struck, or another in its place: what it told is taken back, or altered.
    class EditedSentence
      # @param set [Model::WorkingSet] what the reading was of
      # @param told [Hash{String => String}] ids of what the sentences told of
      # @param after [Array<String>] all sentences as they are now
      def initialize(set, sheet_id, told, after)
        @set = set
        @sheet_id = sheet_id
        @told = told
        @after = after
      end

      # @param hunk [EditedLines::Hunk] with the old sentence and another
      def alter(draft, hunk)
        _, form, said = read(@set, hunk.old)
        _, other, instead = read(draft, hunk.text)
        id = @told[hunk.old]
        return delete(draft, hunk.old) && say(draft, hunk.text) unless form && other && draft.element(id) && alike_forms?(form, other)

        withdraw(draft, form, said, id, instead)
        declared(draft, other, id) if form.declares
        say_instead(draft, hunk, form, id)
      end

      # @param line [String] the sentence that was struck
      def delete(draft, line)
        _, form, said = read(@set, line)
        id = @told[line]
        return true unless form && id && draft.element(id) && !still_said?(draft, draft.element(id))

        form.retract ? form.retract.call(context(draft), said, nil) : delete_element(draft, draft.element(id))
        true
      end

      private

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
        again = instead.fetch(:qualities, []).map(&:first)
        said
          .fetch(:qualities, [])
          .reject { |quality, _| quality.replaced? && again.include?(quality) }
          .each { |quality, captures| quality.clear(context(draft), draft.element(id), captures) }
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

      def context(set) = Context.new(set, sheet_id: @sheet_id)
      def read(set, line) = Line.read(line, context(set))
      def say(draft, line) = Document.new(line).into(draft, sheet_id: @sheet_id)
    end
  end
end
