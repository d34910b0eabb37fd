# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # Makes an interaction what its edited lines say: what a line told of before stays the same element, wherever the line stands now.
      class Rewriting
        # @param said [Array<Array(#id, Line)>]
        # @param gone [Array<String>] ids of what no line tells of any more
        def initialize(draft, sheet_id, said, gone)
          @draft = draft
          @said = said
          @gone = gone
          @interaction_id = Scope.of(draft, sheet_id)
          @runs = { @interaction_id => [] }
          @branches = {}
          @open = [@interaction_id]
        end

        def settle
          @said.each { |row, line| take(row.id && @draft.element(row.id), line) }
          @branches.each { |fragment_id, ids| ranked(fragment_id, ids) }
          @runs.each { |container_id, ids| Ordering.new(@draft, container_id).become(ids) }
          @gone.each { |id| @draft.apply(Change::Remove.new(id:)) if @draft.element(id) }
          @draft
        end

        private

        def take(element, line)
          case line.role
          when :close then @open.pop if @open.length > 1
          when :branch then branch(element, line)
          when :open then enter(@last = item(element, line), line)
          when :about then about(line)
          else @last = item(element, line)
          end
        end

        def about(line)
          target = line.kind == "operand" ? @open.last : @last&.id
          raise Mistake, "there is nothing of which that could be said" unless target

          line.facts.each { |fact, value| Change::Set.new(id: target, fact:, value:).apply(@draft) }
        end

        def item(element, line)
          made = element ? alter(element, line) : add(line)
          @runs[@open.last] << made.id
          made
        end

        def enter(fragment, line)
          first = @draft.parts_of(fragment.id).first || operand(fragment.id)
          @branches[fragment.id] = []
          inside(fragment.id, first, line.guard)
          @open << first.id
        end

        def branch(element, line)
          fragment_id = @open.length > 1 ? @draft.element(@open.pop).owner_id : raise(Mistake, "there is no fragment for this branch")
          own = element || operand(fragment_id)
          @draft.put(:elements, own.with(owner_id: fragment_id)) unless own.owner_id == fragment_id
          inside(fragment_id, own, line.guard)
          @open << own.id
        end

        def inside(fragment_id, operand, guard)
          @draft.apply(Change::Set.new(id: operand.id, fact: "guard", value: guard)) unless operand["guard"] == guard
          @draft.apply(Change::Set.new(id: operand.id, fact: "assumed", value: nil)) if operand.assumed
          @branches[fragment_id] << operand.id
          @runs[operand.id] ||= []
        end

        def add(line)
          id = @draft.new_id
          ends = line.joined(@draft, @interaction_id)
          Change::Add.new(kind: line.kind, name: line.name, ends: (ends if ends.any?), facts: line.facts, container_id: @open.last,
                          id:).apply(@draft)
          @draft.element(id).tap { |one| Scope.show(@draft, @interaction_id, one) unless one.relation? }
        end

        def operand(fragment_id)
          id = @draft.new_id
          Change::Add.new(kind: "operand", owner_id: fragment_id, id:).apply(@draft)
          @draft.element(id)
        end

        def alter(element, line)
          facts = element.facts.keys - [Kinds::PLACE]
          @draft.apply(Change::Set.new(id: element.id, fact: "assumed", value: nil)) if element.assumed
          (facts | line.facts.keys).each do |fact|
            @draft.apply(Change::Set.new(id: element.id, fact:, value: line.facts[fact])) unless element[fact] == line.facts[fact]
          end
          if element.relation?
            @draft.put(:elements, @draft.element(element.id).with(name: line.name && Model::Names.clean(line.name)))
            rejoin(element, line)
          end
          @draft.element(element.id)
        end

        def rejoin(element, line)
          line.joined(@draft, @interaction_id).each do |role, target_id|
            @draft.apply(Change::Rejoin.new(id: element.id, role:, target_id:)) unless element.target(role) == target_id
          end
        end

        def ranked(fragment_id, ids)
          return if @draft.parts_of(fragment_id).map(&:id).select { |id| ids.include?(id) } == ids

          ids.each_with_index { |id, index| @draft.put(:elements, @draft.element(id).with(rank: (index + 1) * Change::OrderKey::ROOM)) }
        end
      end
    end
  end
end
