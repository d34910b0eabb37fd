# frozen_string_literal: true

module Basalt
  module Formats
    # Whether the rows of a project document fit together: nothing twice, nothing that points
    # at what is not there, no fact that its kind does not carry.
    module Consistency
      module_function

      # @param rows [Hash{Symbol => Array}]
      # @raise [ProjectDocument::Damaged]
      def check(rows)
        rows.each { |table, list| unique(table, list) }
        elements = rows[:elements].to_h { |element| [element.id, element] }
        rows[:elements].each_with_index { |element, index| element(element, elements, "/elements/#{index}") }
        told_apart(rows[:elements])
        sheets(rows[:sheets])
        rows[:sheets].each_with_index do |sheet, index|
          refuse("/sheets/#{index}/subject_id", "nothing has that id") if sheet.subject_id && !elements.key?(sheet.subject_id)
        end
        sheet_ids = rows[:sheets].to_set(&:id)
        rows[:placements].each_with_index { |placement, index| placement(placement, elements, sheet_ids, "/placements/#{index}") }
        occurrences(rows[:placements])
        rows[:links].each_with_index { |link, index| link(link, elements, sheet_ids, "/links/#{index}") }
      end

      def link(link, elements, sheet_ids, place)
        refuse("#{place}/element_id", "nothing has that id") unless elements.key?(link.element_id)
        refuse("#{place}/sheet_id", "no sheet has that id") unless link.sheet_id.nil? || sheet_ids.include?(link.sheet_id)
        [link.title, link.lost].compact.each { |words| Model::Names.clean(words) }
      rescue Model::BadFact => e
        refuse(place, e.message)
      end

      # What stands on a sheet once more stands there first.
      def occurrences(placements)
        again, first = placements.partition(&:again?)
        known = first.to_set { |placement| [placement.sheet_id, placement.element_id] }
        lost = again.find { |placement| !known.include?([placement.sheet_id, placement.element_id]) } or return
        refuse("/placements/#{placements.index(lost)}/shape/again", "the element does not stand on the sheet besides")
      end

      def unique(table, list)
        once(list, "/#{table}", :id) { |row| row.id }
        once(list, "/#{table}", :ordinal) { |row| row.ordinal }
        once(list, "/#{table}", :number) { |row| row.number } if table == :sheets
      end

      # What a name does not tell apart, its kind, owner or place has to.
      def told_apart(elements) = once(elements, "/elements", :name) { |element| Change::Uniqueness.digest(element) }

      def once(list, place, column)
        seen = {}
        list.each_with_index do |row, index|
          key = yield(row) or next
          refuse("#{place}/#{index}/#{column}", "the same is at #{place}/#{seen[key]}") if seen.key?(key)
          seen[key] = index
        end
      end

      def element(element, elements, place)
        description = Model::Catalogue.kinds[element.kind] or
          refuse("#{place}/kind", "there is no kind “#{Model::Names.short(element.kind)}”")
        named(element, description, place)
        element.facts.each { |fact, value| fact(description, fact, value, place) }
        ends(element, description, elements, place)
        points(element, elements, place)
      rescue Model::BadFact => e
        refuse(place, e.message)
      end

      def named(element, description, place)
        refuse("#{place}/name", "a #{element.kind} has a name") if element.name.nil? && needs_name?(description)
        refuse("#{place}/name", "a #{element.kind} has no name") if element.name && !description.named?
        Model::Names.clean(element.name) if element.name
      end

      # Relations may have no words yet, unless there are such as are taken where none are said.
      def needs_name?(description) = description.named? && (!description.relation? || description.default_names.any?)

      def fact(description, fact, value, place) = fact_read(description.field(fact), value, "#{place}/facts/#{fact}")

      def fact_read(field, value, place)
        read = field.read(value)
        refuse(place, "it is kept as “#{read}”") unless read == value
      rescue ProjectDocument::Damaged
        raise
      rescue Mistake => e
        refuse(place, e.message)
      end

      def ends(element, description, elements, place)
        element.ends.each_with_index do |joined, index|
          target = elements[joined.target_id] or refuse("#{place}/ends/#{index}/target_id", "nothing has that id")
          joined.facts.each { |fact, value| end_fact(description, fact, value, "#{place}/ends/#{index}") }
          allowed = description.ends[joined.role] or refuse("#{place}/ends/#{index}/role", "a #{element.kind} has no such end")
          unless allowed.include?(target.kind)
            refuse("#{place}/ends/#{index}/target_id", "a #{element.kind} cannot end at a #{target.kind}")
          end
        end
        refuse("#{place}/ends", "a #{element.kind} has two ends or more") if element.ends.length < [description.ends.length, 2].min
        missing = description.ends.keys.first(2) - element.ends.map(&:role)
        refuse("#{place}/ends", "there is no end “#{missing.first}”") if missing.any?
      end

      def end_fact(description, fact, value, place)
        field = description.end_fields.find { |one| one.name == fact } or
          refuse("#{place}/facts/#{fact}", "nothing of that name belongs here")
        fact_read(field, value, "#{place}/facts/#{fact}")
      end

      def points(element, elements, place)
        description = element.description
        kept(element, elements, place, :owner_id, description.owner, "belongs to")
        kept(element, elements, place, :container_id, description.containers, "is in")
        if description.owner.any? && element.owner_id.nil?
          refuse("#{place}/owner_id", "a #{element.kind} belongs to a #{description.owner.join(" or a ")}")
        end
        %i[owner_id container_id].each { |column| refuse_cycle(element, elements, column, "#{place}/#{column}") }
      end

      def kept(element, elements, place, column, allowed, words)
        id = element.public_send(column) or return
        other = elements[id] or refuse("#{place}/#{column}", "nothing has that id")
        refuse("#{place}/#{column}", "no #{element.kind} #{words} a #{other.kind}") unless allowed.include?(other.kind)
      end

      def refuse_cycle(element, elements, column, place)
        step = element
        seen = Set[element.id]
        while (step = step.public_send(column)&.then { |id| elements[id] })
          refuse(place, column == :owner_id ? "it is a part of itself" : "it is inside itself") if seen.include?(step.id)
          seen << step.id
        end
      end

      def sheets(list)
        list.each_with_index { |sheet, index| sheet(sheet, "/sheets/#{index}") }
        twice = list.map(&:name).tally.find { |_, count| count > 1 }
        refuse("/sheets", "two are called “#{twice[0]}”") if twice
      end

      def sheet(sheet, place)
        unless Model::Catalogue.notations.key?(sheet.notation_name)
          refuse("#{place}/notation_name", "there is no notation “#{Model::Names.short(sheet.notation_name)}”")
        end
        unless sheet.variant.nil? || sheet.notation.variants.key?(sheet.variant)
          refuse("#{place}/view/variant", "it is drawn in no such way")
        end
        %i[name number revision status drawn_by dated].each { |column| sheet[column] && Model::Names.clean(sheet[column]) }
      rescue Model::BadFact => e
        refuse(place, e.message)
      end

      def placement(placement, elements, sheet_ids, place)
        refuse("#{place}/sheet_id", "no sheet has that id") unless sheet_ids.include?(placement.sheet_id)
        element = elements[placement.element_id] or refuse("#{place}/element_id", "nothing has that id")
        refuse("#{place}/route", "a #{element.kind} is no line") if placement.route && !element.relation?
        refuse("#{place}/x", "a #{element.kind} has no box") if placement.x && element.relation?
      end

      def refuse(place, reason) = raise(ProjectDocument::Damaged.new(place, reason))
    end
  end
end
