# frozen_string_literal: true

module Basalt
  module Cloud
    module Inventory
      # Brings a model in step with an inventory, in one act.
      class Intake
        # @param comparison [Comparison]
        # @param draft [Change::Draft] over the set that was compared
        def initialize(comparison, draft)
          @comparison = comparison
          @draft = draft
          @ids = comparison.known.transform_values(&:id)
        end

        # @yieldparam done [Integer] how many entries are through, now and then
        def take(&progress)
          count = 0
          step = -> { (count += 1) % 500 == 0 && progress&.call(count) }
          @comparison.met.each { |key, one| @draft.apply(Change::Adopt.new(id: one.id, external_id: "#{@comparison.mark}#{key}")) }
          @comparison.gone.each { |one| remove(one).then { step.call } }
          @comparison.added.each { |wanted| add(wanted).then { step.call } }
          @comparison.altered.each { |one| alter(one).then { step.call } }
          @draft
        end

        private

        # With a thing go the relations that hang on it; what was in it stays.
        def remove(one)
          return unless @draft.element(one.id)

          @draft.contents_of(one.id).each { |inner| set(inner.id, "container", nil) }
          @draft.apply(Change::Remove.new(id: one.id))
        end

        def add(wanted)
          id = @draft.new_id
          container_id = wanted.within && @ids.fetch(wanted.within)
          @draft.apply(Change::Add.new(kind: wanted.kind, name: free(wanted), facts: wanted.facts, ends: ends(wanted), id:, container_id:,
                                       external_id: "#{@comparison.mark}#{wanted.key}"))
          @ids[wanted.key] = id
        end

        def ends(wanted) = wanted.ends&.map { |role, key| [role, @ids.fetch(key)] }

        # A name that another has is told apart by the id.
        def free(wanted, own = nil)
          return unless wanted.name

          twin = @draft.named(wanted.name).any? { |one| one.kind == wanted.kind && one.id != own }
          twin ? Comparison.told_apart(wanted) : wanted.name
        end

        def alter(one)
          one.changes.each do |fact, (_, now)|
            case fact
            when "name" then set(one.element.id, "name", free(one.wanted, one.element.id))
            when "in" then set(one.element.id, "container", now && @ids.fetch(now))
            else one.wanted.ends&.key?(fact) ? rejoin(one.element.id, fact, now) : set(one.element.id, fact, now)
            end
          end
        end

        def set(id, fact, value) = @draft.apply(Change::Set.new(id:, fact:, value:))
        def rejoin(id, role, key) = @draft.apply(Change::Rejoin.new(id:, role:, target_id: @ids.fetch(key)))
      end
    end
  end
end
