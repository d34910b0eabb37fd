# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # What is done with items of an interaction as a whole; each is one act.
      module Acts
        module_function

        # @return [Model::Element] the answer to a call, behind all that the call causes
        # @raise [Mistake] for what is no call
        def answer(draft, call)
          raise Mistake, "Only what somebody asks is answered" unless Answering.of(draft, call)

          Cursor.behind(draft, draft.element(Items.caused(draft, call.id).last)).take(Answering.line(draft, call))
        end

        # Whoever heard it says it, to whoever said it.
        def turn(draft, message)
          raise Mistake, "Only what goes from one to another is turned round" unless message.relation?

          ends = message.ends.map(&:target_id).reverse
          message.ends.zip(ends) { |joined, target_id| draft.apply(Change::Rejoin.new(id: message.id, role: joined.role, target_id:)) }
        end

        # Puts a fragment around items, where the first of them stands.
        #
        # @param operator [String] of Kinds::OPERATORS
        # @return [Model::Element] the fragment
        def wrap(draft, ids, operator, guard)
          raise Mistake, "A fragment is one of #{(Kinds::OPERATORS - [Kinds::REFERENCE]).join(", ")}" unless wraps?(operator)

          items = Items.chosen(draft, ids)
          raise Mistake, "What is chosen stands in several branches" unless items.map(&:container_id).uniq.one?

          cursor = Cursor.before(draft, items.first)
          operand = cursor.take(Line.new(role: :open, kind: "fragment", facts: { "operator" => operator },
                                         guard: (guard unless guard.to_s.strip.empty?)))
          inner = Cursor.at_end(draft, operand.id)
          items.each { |one| inner.bring(draft.element(one.id)) }
          draft.element(operand.owner_id)
        end

        def wraps?(operator) = Kinds::OPERATORS.include?(operator) && operator != Kinds::REFERENCE

        # @return [Model::Element] a further branch of a fragment
        def branch(draft, fragment)
          raise Mistake, "Only a fragment has branches" unless fragment.kind == "fragment"
          unless Kinds::BRANCHED.include?(fragment["operator"])
            raise Mistake, "#{English.article(fragment["operator"]).capitalize} #{fragment["operator"]} has one branch"
          end

          id = draft.new_id
          Change::Add.new(kind: "operand", owner_id: fragment.id, id:).apply(draft)
          draft.element(id)
        end

        # The same once more, behind the last of them.
        #
        # @return [Array<String>] ids of the copies
        def copy(draft, ids)
          items = Items.chosen(draft, ids)
          cursor = Cursor.behind(draft, items.last)
          items.map { |one| Copying.new(draft).item(draft.element(one.id), cursor) }
        end
      end
    end
  end
end
