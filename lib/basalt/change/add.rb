# frozen_string_literal: true

module Basalt
  module Change
    # Makes an element. With +ends+ (pairs of role and target id, or End) it is a relation.
    Add = Value.of(:kind, :name, :facts, :ends, :owner_id, :rank, :container_id, :id, :said_by, :external_id) do
      self::NOTHING = {}.freeze

      def apply(draft)
        description = Model::Catalogue.kind(kind)
        element = Model::Element.restore(
          [id || draft.new_id, kind, name && Model::Names.clean(name), owner_id, rank || next_rank(draft), container_id,
           checked(description).freeze, joined(draft, description).freeze, false, said_by, external_id, draft.next_ordinal(:elements)]
        )
        refuse_outside(draft, element)
        Uniqueness.check(draft, element)
        draft.put(:elements, element)
      end

      private

      def refuse_outside(draft, element)
        container = element.container_id && draft.element(element.container_id) or return
        raise Refusals::NotWithin.new(element, container) unless element.description.within?(element, container)
      end

      def checked(description)
        return self.class::NOTHING if facts.nil? || facts.empty?

        facts.to_h { |fact, value| [fact, description.field(fact).read(value)] }.compact
      end

      def next_rank(draft)
        return unless owner_id

        ranks = []
        draft.elements.each_by(:owner, owner_id) { |part| ranks << (part.rank || 0) }
        OrderKey.last(ranks)
      end

      def joined(draft, description)
        ends.to_a.map do |role, target_id, end_facts|
          target = draft.element(target_id) or raise Refusals::Gone, "one end of the #{kind}"
          allowed = description.ends.fetch(role)
          raise Refusals::WrongEnd.new(kind, target) unless allowed.include?(target.kind)

          Model::End.restore([role, target_id, end_facts ? end_facts.compact.freeze : self.class::NOTHING])
        end
      end
    end
  end
end
