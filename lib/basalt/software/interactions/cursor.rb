# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # A place in the course of an interaction, at which lines are put one behind the other.
      class Cursor
        # At most so many fragments stand in each other.
        DEPTH = 100

        # @param context [Statements::Context] on a sheet of interactions
        # @return [Cursor] where its next line goes: behind the last one, or at the end
        # @raise [Mistake] elsewhere
        def self.of(context)
          context.cursor ||=
            begin
              interaction_id = Scope.of(context.draft, context.sheet_id)
              raise Mistake, "who speaks to whom is said on a sheet of sequence" unless interaction_id

              at_end(context.draft, interaction_id)
            end
        end

        # @param container_id [String] of an interaction or a branch
        def self.at_end(draft, container_id)
          last = Course.within(draft, container_id).last
          new(draft, container_id, last && Change::Reorder.key(last), nil)
        end

        # @param element [Model::Element] an item, a branch or a fragment; at the end of what these hold where +inside+
        def self.behind(draft, element, inside: false)
          return at_end(draft, element.id) if element.kind == "operand"

          branch = inside ? draft.parts_of(element.id).last : nil
          return at_end(draft, branch.id) if branch

          items = Course.within(draft, element.container_id)
          at = items.index { |one| one.id == element.id }
          new(draft, element.container_id, Change::Reorder.key(element), items[at + 1]&.then { |one| Change::Reorder.key(one) })
        end

        # @param element [Model::Element] an item
        def self.before(draft, element)
          items = Course.within(draft, element.container_id)
          at = items.index { |one| one.id == element.id }
          return behind(draft, items[at - 1]) if at.positive?

          new(draft, element.container_id, nil, Change::Reorder.key(element))
        end

        # @param key [Integer, nil] of what stands before the place
        # @param following [Integer, nil] of what stands behind it
        def initialize(draft, container_id, key, following)
          @draft = draft
          @container_id = container_id
          @key = key
          @following = following
        end

        attr_reader :container_id, :key

        # @param line [Line]
        # @return [Model::Element, nil] what was made; nil where a fragment was closed
        # @raise [Mistake] for a line that cannot stand there
        def take(line)
          case line.role
          when :close then close
          when :branch then branch(line)
          when :open then open(line)
          when :about then about(line)
          else @last = item(line)
          end
        end

        # @return [Spot] where it is, to be found again later
        def spot
          before = Course.within(@draft, @container_id).reverse.find { |one| @key && Change::Reorder.key(one) <= @key }
          Spot.new(container_id: @container_id, before_id: before&.id)
        end

        # @return [String, nil] the beginning of the line that answers what was asked last there
        def answer(set) = Answering.words(set, spot)

        # @return [String] id of the interaction
        def interaction_id = Course.interaction(@draft, container).id

        # Puts an element there that stands elsewhere.
        #
        # @param element [Model::Element] an item
        def bring(element)
          # What leaves is no longer counted among those that stand there.
          @draft.put(:elements, @draft.element(element.id).with(container_id: @container_id))
          Change::Set.new(id: element.id, fact: Kinds::PLACE, value: next_key(element.id).to_s).apply(@draft)
        end

        private

        def container = @draft.element(@container_id)

        def item(line)
          ends = line.joined(@draft, interaction_id)
          add(line, ends.empty? ? nil : ends)
        end

        def open(line)
          raise Mistake, "fragments stand in each other at most #{DEPTH} deep" if depth >= DEPTH

          @last = add(line, nil)
          enter(operand(@last.id, line.guard, nil))
        end

        def branch(line)
          word = "“#{Sentences::BRANCHES.fetch(line.facts["operator"])}”"
          operator = fragment!(word)["operator"]
          raise Mistake, "#{word} begins a branch of another fragment than this #{operator}" unless operator == line.facts["operator"]

          parts = @draft.parts_of(container.owner_id)
          at = parts.index { |part| part.id == @container_id } + 1
          enter(operand(container.owner_id, line.guard, rank(parts, at)))
        end

        def close
          fragment = fragment!("“end”")
          step = Cursor.behind(@draft, fragment)
          @container_id = step.container_id
          @key = step.key
          @following = step.send(:following)
          nil
        end

        attr_reader :following

        # Something more of what was put there last, or of the branch.
        def about(line)
          target = line.kind == "operand" ? container : @draft.element((@last || standing).id)
          raise Mistake, "there is no branch here" if line.kind == "operand" && target.kind != "operand"

          line.facts.each { |fact, value| Change::Set.new(id: target.id, fact:, value:).apply(@draft) }
          target
        end

        def standing
          Course.within(@draft, @container_id).reverse.find { |one| @key && Change::Reorder.key(one) <= @key } or
            raise Mistake, "there is nothing here yet of which that could be said"
        end

        # @return [Model::Element] the fragment whose branch the place is in
        def fragment!(word)
          raise Mistake, "there is no fragment here for #{word}" unless container.kind == "operand"

          @draft.element(container.owner_id)
        end

        def depth
          count = 0
          element = container
          while element && element.kind == "operand"
            count += 1
            element = @draft.element(@draft.element(element.owner_id).container_id.to_s)
          end
          count
        end

        def add(line, ends)
          id = @draft.new_id
          facts = line.facts.merge(Kinds::PLACE => next_key.to_s).compact
          Change::Add.new(kind: line.kind, name: line.name, ends:, facts:, container_id: @container_id, id:).apply(@draft)
          @draft.element(id).tap { |one| Scope.show(@draft, interaction_id, one) unless one.relation? }
        end

        def operand(fragment_id, guard, rank)
          id = @draft.new_id
          Change::Add.new(kind: "operand", owner_id: fragment_id, facts: { "guard" => guard }.compact, rank:, id:).apply(@draft)
          @draft.element(id)
        end

        # @return [Integer, nil] of a branch among others; nil behind the last
        def rank(parts, at)
          return if at == parts.length

          ranks = parts.map { |part| part.rank || 0 }
          Change::OrderKey.between(ranks[at - 1], ranks[at]) || make_room(parts.drop(at), ranks[at - 1])
        end

        # @return [Integer] a rank before all these, which follow it from then on
        def make_room(parts, rank)
          room = Change::OrderKey::ROOM
          parts.each_with_index { |part, index| @draft.put(:elements, part.with(rank: rank + ((index + 2) * room))) }
          rank + room
        end

        def enter(operand)
          @container_id = operand.id
          @key = @following = nil
          operand
        end

        def next_key(moved = nil)
          @key = Change::OrderKey.between(@key, @following) || renumbered(moved)
        end

        # All that stands there gets room anew.
        #
        # @return [Integer] a key for the place
        def renumbered(moved)
          room = Change::OrderKey::ROOM
          others = Course.within(@draft, @container_id).reject { |one| one.id == moved }
          at = others.count { |one| @key && Change::Reorder.key(one) <= @key }
          others.each_with_index do |one, index|
            Change::Set.new(id: one.id, fact: Kinds::PLACE, value: ((index < at ? index + 1 : index + 2) * room).to_s).apply(@draft)
          end
          @following = (at + 2) * room if at < others.length
          (at + 1) * room
        end
      end
    end
  end
end
