# frozen_string_literal: true

module Basalt
  module Drawing
    # The elements whose drawing a draft may have altered.
    module Affected
      module_function

      # @param changed [Array<String>] as {changed} tells it; arranging alters nothing of that
      # @return [Array<String>] keys, also of what is no longer there
      def by(draft, changed = self.changed(draft))
        placed =
          draft
            .placements
            .differences
            .flat_map { |_, before, after| [before, after].compact }
            .flat_map { |placed| [placed.element_id, placed.key] }
        placed +=
          draft.placements.differences.flat_map do |_, before, after|
            holds_otherwise?(before, after) ? inside(draft, (after || before).element_id) : []
          end
        symbols =
          draft.elements.differences.flat_map do |_, before, after|
            [before, after].compact.select { |element| element.kind == Symbols::KIND }
          end
        known = placed + changed
        [
          *known,
          *opening(draft),
          *gathered(draft),
          *ruled(draft, known),
          *together(draft, known),
          *outlines(draft),
          *(symbols.empty? ? [] : Symbols.dressed(draft, symbols))
        ].uniq.flat_map { |id| draft.keys_of(id) }.uniq
      end

      # @return [Array<String>] ids of the elements that are altered, and of those whose drawing tells of them
      def changed(draft)
        return [] if draft.placements.size.zero?

        (draft.elements.differences.flat_map { |_, before, after| of_difference(draft, before, after) } + tellers(draft)).uniq
      end

      # Sheets whose symbols stand for what is in them: those of what was altered, and the lines that are drawn together with it.
      def gathered(draft)
        sheets = draft.sheets_with(:gathers?)
        return [] if sheets.empty?

        altered = altered(draft)
        sheets.flat_map do |sheet|
          [draft.base, draft].flat_map { |set| gathered_on(set, sheet.id, altered) } + gathered_otherwise(draft, sheet)
        end
      end

      # Where something is gathered in another place than before, or one of the places has another name, the lines between them do not
      # lead between the same any more.
      def gathered_otherwise(draft, sheet)
        known = draft.elements.differences.flat_map { |id, before, after| [id, *before&.targets, *after&.targets] }.uniq
        pairs = known.map { |id| [draft.base.element(id), draft.element(id)] }.select(&:all?)
        return [] unless came_or_went?(draft, sheet) || pairs.any? { |before, after| placed_otherwise?(draft, sheet, before, after) }

        [draft.base, draft].flat_map { |set| set.placements_on(sheet.id).map(&:key) }.uniq
      end

      def came_or_went?(draft, sheet)
        draft.placements.differences.any? { |_, before, after| (before.nil? || after.nil?) && (after || before).sheet_id == sheet.id }
      end

      def placed_otherwise?(draft, sheet, before, after)
        return true if before.name != after.name && draft.shown?(sheet.id, after.id)

        sheet.notation.holder(draft.base, before) != sheet.notation.holder(draft, after)
      end

      # @return [Array<Model::Element>] what is altered, as it was and as it is
      def altered(draft) = draft.elements.differences.flat_map { |_, before, after| [before, after].compact }

      # @return [Array<String>] ids of what tells of something altered that it is not joined to, as its notation knows
      def tellers(draft)
        notations = draft.sheets_with(:tells_of_others?).map(&:notation).uniq
        return [] if notations.empty?

        altered = altered(draft)
        notations.flat_map { |notation| [draft.base, draft].flat_map { |set| notation.tellers(set, altered) } }
      end

      def gathered_on(set, sheet_id, altered)
        return [] unless set.sheets[sheet_id]

        drawn = AsDrawn.of(set, sheet_id)
        lines = altered.select { |one| drawn.notation_lines.include?(one.kind) }.filter_map { |one| drawn.element(one.id) }
        gathering = Gathering.of(set, sheet_id)
        lines.flat_map { |line| drawn.bundled(line).map(&:id) } + altered.filter_map { |one| gathering.stand_in(set, one.id) }
      end

      # What opens into a sheet, or did, is drawn with a sign.
      def opening(draft)
        links = draft.links.differences.map { |_, before, after| (after || before).element_id }
        links + draft.sheets.differences.flat_map { |_, before, after| [before&.subject_id, after&.subject_id].compact.uniq }
      end

      # Where the notation rules, an act may move whatever stands there.
      def ruled(draft, ids)
        sheets = draft.sheets_with(:ruled?)
        return [] if sheets.empty?

        shown = ids.flat_map { |id| draft.sheets_of(id) + draft.base.sheets_of(id) }.to_set
        sheets.select { |sheet| shown.include?(sheet.id) }.flat_map { |sheet| RuledSheet.moved(draft, sheet.id) }
      end

      # Where symbols tell of each other, all of them follow what any of them is or is joined to; what is joined to an altered one
      # tells its name; and wherever what tells how symbols are drawn became another, all follow.
      def together(draft, ids)
        sheets = (draft.sheets_with(:together?) + draft.sheets_with(:telling)).uniq(&:id)
        return [] if sheets.empty?

        altered = altered(draft)
        near = altered.flat_map { |element| [element.id, *element.targets] }.uniq
        shown = near.flat_map { |id| draft.sheets_of(id) | draft.base.sheets_of(id) }.to_set
        followed = sheets.select { |sheet| follows?(sheet, shown, altered.map(&:kind)) }
        followed.flat_map { |sheet| draft.things_on(sheet.id).map(&:id) } + joined_to(draft, ids, sheets)
      end

      def follows?(sheet, shown, kinds)
        (sheet.notation.together? && shown.include?(sheet.id)) || sheet.notation.telling.intersect?(kinds)
      end

      # What is joined to an altered thing, on sheets whose symbols tell of that.
      def joined_to(draft, ids, sheets)
        telling = sheets.select { |sheet| sheet.notation.together? }.to_set(&:id)
        joined = ids.filter_map { |id| draft.element(id) }.flat_map(&:targets).uniq
        joined.select { |id| draft.sheets_of(id).any? { |sheet_id| telling.include?(sheet_id) } }
      end

      # What is drawn around others follows whatever was moved on its sheets or put into something else, and whatever came to
      # another such or went from it: what they have in common tells how wide they are.
      def outlines(draft)
        kinds = Model::Catalogue.outlines
        groups = kinds.empty? ? [] : draft.of_kind(*kinds)
        return [] if groups.empty?

        sheets = draft.placements.differences.map { |_, before, after| (after || before).sheet_id }
        sheets = (sheets + (joined(draft, groups) + contained(draft)).flat_map { |id| draft.sheets_of(id) }).to_set
        groups.select { |group| draft.sheets_of(group.id).any? { |id| sheets.include?(id) } }.map(&:id)
      end

      # @return [Array<String>] ids of those to which something was joined or is no longer
      def joined(draft, elements)
        ends = draft.elements.differences.flat_map { |_, before, after| [before, after].compact.flat_map(&:targets) }.to_set
        elements.map(&:id).select { |id| ends.include?(id) }
      end

      # @return [Array<String>] ids of what is in something else than before
      def contained(draft)
        draft.elements.differences.filter_map { |id, before, after| id if before && after && before.container_id != after.container_id }
      end

      def closed?(placement) = placement ? placement.closed? : false

      # What comes, goes, is closed or opened is not drawn around others as it was.
      def holds_otherwise?(before, after) = before.nil? || after.nil? || before.closed? != after.closed?

      # What a boundary contains, and the lines of it.
      def inside(set, id)
        set.contents_within(id).flat_map { |inner| [inner.id, *set.relations_of(inner.id).map(&:id)] }
      end

      # What an element was part of or in before is another without it.
      def of_difference(set, before, after)
        of_element(set, after || before) + reordered(set, before, after) + (after ? [before&.owner_id, before&.container_id].compact : [])
      end

      # What has a place among others gives them other places when it goes, or is moved.
      def reordered(set, before, after)
        fact = (after || before).description.ordered
        return [] if fact.nil? || before.nil? || (after && after[fact] == before[fact])

        set.of_kind(before.kind).flat_map { |other| [other.id, *other.targets] }.uniq
      end

      # The element, its owner and whose part that is, what it joins and what is joined to it.
      def of_element(set, element)
        [element.id, element.owner_id, element.container_id, *element.targets].compact
          .flat_map { |id| [id, *near(set, id, element)] }
          .push(*outer(set, element.owner_id))
          .uniq
      end

      # @return [Array<String>] ids of what a part is part of, outwards
      def outer(set, id)
        found = []
        found << id while (id = id && set.element(id)&.owner_id) && !found.include?(id)
        found
      end

      # The lines of a thing say what the thing says: a subnet's prefix is in every label.
      def near(set, id, element)
        return at_parts(set, id) if id == element.id && !element.relation?

        return set.relations_of(id).map(&:id) if shared?(element)

        element.relation? && id == least_joined(set, element) ? alike(set, id, element) : []
      end

      # @return [Array<String>] ids of the lines of a thing and of its parts, which tell whose they are
      def at_parts(set, id) = [id, *set.parts_within(id).map(&:id)].flat_map { |one| set.relations_of(one).map(&:id) }

      # Another relation between the same things may be drawn with it, or in its place; it is found from either of them.
      def alike(set, id, relation)
        wanted = relation.targets.sort
        set.elements.by(:target, id).select { |other| other.ends.length == wanted.length && other.targets.sort == wanted }.map(&:id)
      end

      def least_joined(set, relation) = relation.targets.uniq.min_by { |id| set.elements.count_by(:target, id) }

      # Relations of more than two ends are told at the lines of what they join.
      def shared?(element) = element.ends.length > 2
    end
  end
end
