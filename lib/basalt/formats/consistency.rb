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
        sheets(rows[:sheets])
        rows[:sheets].each_with_index { |sheet, index| refuse("/sheets/#{index}/subject_id", "nothing has that id") if sheet.subject_id && !elements.key?(sheet.subject_id) }
        sheet_ids = rows[:sheets].to_set(&:id)
        rows[:placements].each_with_index { |placement, index| placement(placement, elements, sheet_ids, "/placements/#{index}") }
      end

      def unique(table, list)
        seen = {}
        list.each_with_index do |row, index|
          refuse("/#{table}/#{index}/id", "the same id is at /#{table}/#{seen[row.id]}") if seen.key?(row.id)
          seen[row.id] = index
        end
      end

      def element(element, elements, place)
        description = Model::Catalogue.kinds[element.kind] or refuse("#{place}/kind", "there is no kind “#{Model::Names.short(element.kind)}”")
        Model::Names.clean(element.name) if element.name
        element.facts.each { |fact, value| fact(description, fact, value, place) }
        ends(element, description, elements, place)
        points(element, elements, place)
      rescue Model::BadFact => e
        refuse(place, e.message)
      end

      def fact(description, fact, value, place)
        read = description.field(fact).read(value)
        refuse("#{place}/facts/#{fact}", "it is kept as “#{read}”") unless read == value
      rescue ProjectDocument::Damaged
        raise
      rescue Mistake => e
        refuse("#{place}/facts/#{fact}", e.message)
      end

      def ends(element, description, elements, place)
        element.ends.each_with_index do |joined, index|
          target = elements[joined.target_id] or refuse("#{place}/ends/#{index}/target_id", "nothing has that id")
          allowed = description.ends[joined.role] or refuse("#{place}/ends/#{index}/role", "a #{element.kind} has no such end")
          refuse("#{place}/ends/#{index}/target_id", "a #{element.kind} cannot end at a #{target.kind}") unless allowed.include?(target.kind)
        end
        refuse("#{place}/ends", "a #{element.kind} has two ends or more") if description.relation? && element.ends.length < 2
      end

      def points(element, elements, place)
        %i[owner_id container_id].each do |column|
          id = element.public_send(column)
          refuse("#{place}/#{column}", "nothing has that id") if id && !elements.key?(id)
        end
        steps = 0
        step = element
        while (step = step.container_id && elements[step.container_id])
          refuse("#{place}/container_id", "it is inside itself") if step.id == element.id || (steps += 1) > 10_000
        end
      end

      def sheets(list)
        list.each_with_index { |sheet, index| refuse("/sheets/#{index}/notation", "there is no notation “#{Model::Names.short(sheet.notation)}”") unless Model::Catalogue.notations.key?(sheet.notation) }
        twice = list.map(&:name).tally.find { |_, count| count > 1 }
        refuse("/sheets", "two are called “#{twice[0]}”") if twice
      end

      def placement(placement, elements, sheet_ids, place)
        refuse("#{place}/sheet_id", "no sheet has that id") unless sheet_ids.include?(placement.sheet_id)
        refuse("#{place}/element_id", "nothing has that id") unless elements.key?(placement.element_id)
      end

      def refuse(place, reason) = raise(ProjectDocument::Damaged.new(place, reason))
    end
  end
end
