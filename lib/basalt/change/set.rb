# frozen_string_literal: true

module Basalt
  module Change
    # Gives an element another value in one place: +name+, +container+, +assumed+ or a
    # fact of its kind. nil clears a fact. +was+, when given, must be the value it has now.
    Set = Value.of(:id, :fact, :value, :was) do
      def apply(draft)
        element = draft.element(id) or raise Refusals::Gone, "what was to be altered"
        raise Refusals::AlteredSince, "#{fact} of #{element.name || element.kind}" if was && present(element) != was

        altered = alter(draft, element)
        return if altered == element

        Uniqueness.check(draft, altered)
        draft.put(:elements, altered)
        element.description.fields[fact]&.along&.call(draft, element, altered)
      end

      private

      def present(element)
        case fact
        when "name" then element.name
        when "assumed" then element.assumed
        when "container" then element.container_id
        else element[fact]
        end
      end

      def alter(draft, element)
        case fact
        when "name" then element.with(name: Model::Names.clean(value))
        when "assumed" then element.with(assumed: value ? true : false)
        when "container" then element.with(container_id: contained(draft, element))
        else element.with(facts: altered_facts(element))
        end
      end

      def altered_facts(element)
        read = element.description.field(fact).read(value)
        read.nil? ? element.facts.reject { |key, _| key == fact } : element.facts.merge(fact => read)
      end

      def contained(draft, element)
        return nil if value.nil?

        container = draft.element(value) or raise Refusals::Gone, "the place"
        raise Refusals::NotWithin.new(element, container) unless element.description.within?(element, container)

        refuse_loop(draft, element, container)
        value
      end

      def refuse_loop(draft, element, container)
        step = container
        while step
          raise Mistake, "#{container.name} is itself in #{element.name}" if step.id == element.id

          step = step.container_id && draft.element(step.container_id)
        end
      end
    end
  end
end
