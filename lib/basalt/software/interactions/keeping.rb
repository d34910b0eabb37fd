# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # What follows from an act as a whole: what stood in a fragment that is gone stands where that was, an interaction that no sheet
      # shows is gone, and names follow.
      class Keeping
        # @param draft [Change::Draft]
        def self.settle(draft) = new(draft).settle

        def initialize(draft)
          @draft = draft
        end

        def settle
          return if @draft.elements.differences.none? && @draft.sheets.differences.none?

          begin_sheets
          end_interactions
          altered = @draft.elements.differences.map { |id, before, after| [id, before, after] }
          rename(altered)
          take_out(altered)
          altered.each { |_, before, after| settle_in(after) if before.nil? && after && Kinds::LOCALS.include?(after.kind) && @draft.element(after.id) }
          altered.each { |_, _, after| refuse_elsewhere(@draft.element(after.id)) if after&.relation? && @draft.element(after.id) }
          altered.each { |_, before, after|
            branched(before, @draft.element(after.id)) if after&.kind == "fragment" && @draft.element(after.id)
          }
        end

        private

        def begin_sheets
          @draft.sheets.differences.each do |_, before, after|
            next unless after && Scope::SHEETS.include?(after.notation_name)

            interaction_id = Scope.of(@draft, after.id)
            Course.new(@draft, interaction_id).participants.each { |one| show(one) } unless before&.subject_id == interaction_id
          end
        end

        # What was made without a place of its own belongs to the interaction of its sheet, or of those whom it joins.
        def settle_in(made)
          made = @draft.element(made.id)
          interaction_id = made.container_id || around(made) or return
          if made.container_id.nil? && made.kind == "participant" then @draft.put(:elements, made.with(container_id: interaction_id))
          elsif made.container_id.nil? then Cursor.at_end(@draft, interaction_id).bring(made)
          end
          show(@draft.element(made.id)) if made.kind == "participant"
        end

        def around(made)
          joined = made.targets.filter_map { |id| @draft.element(id)&.container_id }.first
          joined || @draft.sheets_of(made.id).filter_map { |id| Scope.of(@draft, id) }.first
        end

        def refuse_elsewhere(line)
          return unless Kinds::ITEMS.include?(line.kind) && line.container_id

          interaction = Course.interaction(@draft, line) or return
          stranger = line.targets.map { |id| @draft.element(id) }.find { |one| one.container_id != interaction.id }
          raise Mistake, "#{stranger.name} takes part in another interaction, and not in #{interaction.name}" if stranger
        end

        def show(participant) = participant.container_id && Scope.show(@draft, participant.container_id, participant)

        # With all that is in them.
        def end_interactions
          @draft.sheets.differences.each do |_, before, _|
            next unless before&.subject_id && Scope::SHEETS.include?(before.notation_name)

            interaction = @draft.element(before.subject_id)
            next unless interaction&.kind == Kinds::INTERACTION && @draft.sheets_about(interaction.id).empty?

            Removal.new(id: interaction.id).apply(@draft)
          end
        end

        def rename(altered)
          altered.each do |_, before, after|
            next unless before && after && before.name != after.name

            follow("participant", "type", before.name, after.name) if Typing::KINDS.include?(after.kind)
            follow("fragment", "refers", before.name, after.name) if after.kind == Kinds::INTERACTION
          end
        end

        def follow(kind, fact, old, fresh)
          return if @draft.named(old).any? { |one| [*Typing::KINDS, Kinds::INTERACTION].include?(one.kind) }

          @draft.of_kind(kind).each { |one| @draft.apply(Change::Set.new(id: one.id, fact:, value: fresh)) if one[fact] == old }
        end

        # What a fragment held when it went stands in its place; what a branch held goes with the branch.
        def take_out(altered)
          loose = altered.filter_map { |id, before, _| before if before && stray?(@draft.element(id), before) }
          loose.group_by { |one| fragment_of(one) }.each { |fragment, items| settle_out(fragment, items) }
        end

        def stray?(now, before) = now && Kinds::ITEMS.include?(now.kind) && now.container_id.nil? && before.container_id

        # @return [Model::Element, nil] in whose branch it stood
        def fragment_of(item)
          operand = @draft.base.element(item.container_id)
          operand&.owner_id && @draft.base.element(operand.owner_id)
        end

        def settle_out(fragment, items)
          around = fragment && @draft.element(fragment.id).nil? && @draft.element(fragment.container_id.to_s)
          return place(around.id, Change::Reorder.key(fragment), in_order(items)) if around

          items.each { |one| Removal.new(id: one.id).apply(@draft) if @draft.element(one.id) }
        end

        def in_order(items) =
          items.sort_by { |one| [@draft.base.element(one.container_id).rank || 0, Change::Reorder.key(one), one.ordinal] }

        def place(container_id, key, items)
          following = Course.within(@draft, container_id).map { |one| Change::Reorder.key(one) }.select { |one| one > key }.min
          cursor = Cursor.new(@draft, container_id, key, following)
          items.each { |one| cursor.bring(@draft.element(one.id)) }
        end

        # As many branches as its operator has.
        def branched(before, fragment)
          branches = @draft.parts_of(fragment.id)
          operator = fragment["operator"]
          return referring(fragment, branches) if operator == Kinds::REFERENCE

          @draft.apply(Change::Add.new(kind: "operand", owner_id: fragment.id)) if branches.empty?
          return if branches.length < 2 || Kinds::BRANCHED.include?(operator) || before&.[]("operator") == operator

          raise Mistake, "#{English.article(operator)} #{operator} has one branch, and this has #{branches.length}"
        end

        def referring(_fragment, branches)
          if branches.any? { |one| Course.within(@draft, one.id).any? }
            raise Mistake, "A reference holds nothing itself: take out what is in the fragment first"
          end

          branches.each { |one| @draft.apply(Change::Remove.new(id: one.id)) }
        end
      end
    end
  end
end
