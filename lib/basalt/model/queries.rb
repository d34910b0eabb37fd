# frozen_string_literal: true

module Basalt
  module Model
    # What can be asked of a working set or of a draft over it.
    module Queries
      def element(id) = elements[id]

      # @return [Array<Element>] of these kinds, in order of making
      def of_kind(*kinds) = kinds.flat_map { |kind| elements.by(:kind, kind) }.sort_by(&:ordinal)

      # @return [Array<Element>] of that name and of these kinds, all where none are said, in order of making
      def named(name, *kinds)
        return in_order(elements.by(:name, name)) if kinds.empty?

        # As a rule one thing or none has the name: there is less to look at than there are kinds.
        found =
          if elements.at_most(:name, name) <= kinds.length then elements.by(:name, name).select { |one| kinds.include?(one.kind) }
          else kinds.flat_map { |kind| elements.by(:called, Queries.called(kind, name)) }
          end
        in_order(found)
      end

      # @return [String] what is the same for elements of one kind and one name
      def self.called(kind, name) = "#{kind} #{name}"

      # @return [Boolean] whether the word is the first of several that some element is called by
      def opens_name?(word) = elements.any_by?(:opening, word)

      # @return [Array<Element>] relations that have an end at the element, in order of making
      def relations_of(id, *kinds)
        return in_order(elements.by(:target, id)) if kinds.empty?
        return [] if kinds.none? { |kind| elements.any_by?(:kind, kind) }

        found = []
        elements.each_by(:target, id) { |one| found << one if kinds.include?(one.kind) }
        in_order(found)
      end

      # @return [Array<Element>] relations with an end at the one and an end at the other, in order of making: looked for where fewer are
      def relations_between(one, other, *kinds)
        one, other = other, one if elements.at_most(:target, other) < elements.at_most(:target, one)
        relations_of(one, *kinds).select { |relation| one == other ? relation.targets.count(one) > 1 : relation.targets.include?(other) }
      end

      # Looked for among the parts of the owner or among what is called alike, whichever are fewer.
      #
      # @return [Element, nil] a part of that kind and name
      def part_named(owner_id, kind, name)
        places = { called: Queries.called(kind, name), owner: owner_id }
        elements.each_by(*places.min_by { |index, key| elements.at_most(index, key) }) do |one|
          return one if one.name == name && one.kind == kind && one.owner_id == owner_id
        end
        nil
      end

      # Ranks differ as a rule, and sort far quicker than pairs.
      def parts_of(id)
        parts = elements.by(:owner, id)
        return parts if parts.length < 2

        parts.map(&:rank).uniq.length == parts.length ? parts.sort_by { |e| e.rank || 0 } : parts.sort_by { |e| [e.rank || 0, e.ordinal] }
      end

      # @return [Array<Element>] parts, and the parts of these, each before its own
      def parts_within(id) =
        elements.any_by?(:owner, id) ? parts_of(id).flat_map { |part| [part, *parts_within(part.id)] } : []

      def contents_of(id) = in_order(elements.by(:container, id))

      # @yieldparam inner [Element]
      # @yieldreturn [Boolean] whether to look into it
      # @return [Array<Element>] what an element contains, each before its own contents, however deep
      def contents_within(id)
        found = []
        waiting = contents_of(id).reverse
        while (inner = waiting.pop)
          found << inner
          waiting.concat(contents_of(inner.id).reverse) if !block_given? || yield(inner)
        end
        found
      end

      def placements_on(sheet_id) = placements.by(:sheet, sheet_id)

      # @return [Enumerator::Lazy<Element>] what is placed on the sheet, looked up as far as it is asked for
      def placed_on(sheet_id) = placements.ids_by(:sheet, sheet_id).lazy.filter_map { |id| elements[placements[id].element_id] }

      def placed_count(sheet_id) = placements.count_by(:sheet, sheet_id)

      # @param key [String] id of an element, or of a further occurrence of one
      # @return [Placement, nil] where that stands
      def placement(sheet_id, key) = placements.at(sheet_id, key)

      def shown?(sheet_id, key) = !placements.at(sheet_id, key).nil?

      # @param key [String] id of an element, or of an occurrence of one
      # @return [Element, nil]
      def element_at(key) = elements[key] || placements[key]&.then { |placed| elements[placed.element_id] }

      # @return [Array<Placement>] the further occurrences of an element on the sheet, in order of making
      def further(sheet_id, element_id)
        return [] unless placements.any_by?(:again, element_id)

        placements.by(:again, element_id).select { |p| p.sheet_id == sheet_id }.sort_by(&:ordinal)
      end

      # @return [Array<String>] the element's id and those of its further occurrences, wherever they stand
      def keys_of(element_id) = [element_id, *placements.ids_by(:again, element_id)]
      def sheets_of(element_id) = placements.by(:element, element_id).map(&:sheet_id).uniq
      # @return [Array<Sheet>] that open an element, in order of making
      def sheets_about(element_id) = sheets.by(:subject, element_id).sort_by(&:ordinal)
      # @return [Array<Link>] of an element, also those whose sheet is gone, in order of making
      def links_of(element_id) = links.by(:element, element_id).sort_by(&:ordinal)

      # @return [Array<Opening>] the sheets that an element opens into: those that are about it, then those that are linked
      def openings(element_id)
        linked = links.any_by?(:element, element_id) ? links_of(element_id).reject(&:dangling?) : []
        about = sheets.any_by?(:subject, element_id) ? sheets_about(element_id) : []
        own = about.map { |sheet| Opening.new(sheet:, link: linked.find { |link| link.sheet_id == sheet.id }) }
        others = linked.reject { |link| sheets[link.sheet_id].subject_id == element_id }
        own + others.map { |link| Opening.new(sheet: sheets[link.sheet_id], link:) }
      end

      # @return [Boolean] whether it opens into any
      def opens?(element_id)
        return true if sheets.any_by?(:subject, element_id)

        links.any_by?(:element, element_id) && links.by(:element, element_id).any? { |link| !link.dangling? }
      end

      # @return [Array<String>] ids of the elements that open into a sheet
      def opened_by(sheet_id)
        [sheets[sheet_id]&.subject_id, *links.by(:sheet, sheet_id).sort_by(&:ordinal).map(&:element_id)].compact.uniq
      end

      # @param trait [Symbol] (see Catalogue.notations_with)
      # @return [Array<Sheet>] that are drawn in a notation of which it is so
      def sheets_with(trait) = Catalogue.notations_with(trait).flat_map { |name| sheets.by(:notation, name) }

      def sheet_list = sheets.each.sort_by(&:ordinal)

      # @return [Array<Element>] the things placed on the sheet, in order of making
      def things_on(sheet_id)
        placements_on(sheet_id).filter_map { |p| elements[p.element_id] }.reject(&:relation?).uniq(&:id).sort_by(&:ordinal)
      end

      # @return [Array<Element>] the relations whose ends all stand on the sheet
      def relations_on(sheet_id)
        (placed_count(sheet_id) > elements.size / 2 ? relations_of_all(sheet_id) : relations_around(sheet_id)).sort_by(&:ordinal)
      end

      # A part is shown with its owner.
      def shown_within?(sheet_id, element_id)
        owner = element(element_id)&.owner_id
        owner && (shown?(sheet_id, owner) || shown_within?(sheet_id, owner))
      end

      def drawn_between?(sheet_id, relation)
        relation.ends.all? { |e| shown?(sheet_id, e.target_id) || shown_within?(sheet_id, e.target_id) }
      end

      private

      def relations_around(sheet_id)
        found = {}
        placements_on(sheet_id).each { |placed| elements.each_by(:target, placed.element_id) { |one| found[one.id] = one } }
        found.values.select { |one| drawn_between?(sheet_id, one) }
      end

      # Where most of the model stands on the sheet, it is looked through as it is. One end at least stands there itself.
      def relations_of_all(sheet_id)
        found = []
        elements.each do |one|
          next unless one.relation?

          shown = one.ends.count { |at| shown?(sheet_id, at.target_id) }
          found << one if shown == one.ends.length || (shown.positive? && drawn_between?(sheet_id, one))
        end
        found
      end

      # Most often there is one, or none.
      def in_order(found) = found.length < 2 ? found : found.sort_by(&:ordinal)
    end
  end
end
