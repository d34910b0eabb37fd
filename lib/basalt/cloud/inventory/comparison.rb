# frozen_string_literal: true

module Basalt
  module Cloud
    module Inventory
      # An inventory beside what a model has of the same account: what is new, what is gone, and what became another. What people added is not
      # looked at: things that came from no inventory, and facts of which an inventory says nothing.
      class Comparison
        # +changes+ are pairs of the value there is and the one that is wanted, by fact; +name+, +in+ and roles of ends among them.
        Altered = Value.of(:element, :wanted, :changes)
        FACTS = {
          Kinds::BOUNDARY => %w[level prefixes zone details],
          Kinds::RESOURCE => %w[service address public zone details],
          Kinds::RULE => ["action", "direction", "protocol", "ports", "block", "anybody", Kinds::PLACE],
          Kinds::ROUTE => %w[prefix nowhere],
          Kinds::CONNECTION => %w[verb protocol ports both]
        }.freeze
        KINDS = [Kinds::BOUNDARY, Kinds::RESOURCE, Kinds::GROUP, "membership", Kinds::RULE, Kinds::ROUTE, Kinds::GOVERNANCE, Kinds::CONNECTION].freeze

        # @param reader [Reader]
        # @param set [Model::WorkingSet, Change::Draft]
        def initialize(reader, set)
          @set = set
          @mark = Comparison.mark(reader.account)
          @wanted = reader.wanted.uniq(&:key)
        end

        # @return [String] with which the external ids begin of all that came from an account
        def self.mark(account) = "cloud #{account} "

        attr_reader :mark

        # @return [Hash{String => Model::Element}] what came from the account before, by key
        def known
          @known ||= @set.of_kind(*KINDS).select { |one| one.external_id&.start_with?(mark) }.to_h { |one| [one.external_id.delete_prefix(mark), one] }
        end

        # @return [Array<Wanted>]
        def added = @added ||= @wanted.reject { |one| known.key?(one.key) }

        # @return [Array<Model::Element>] relations first
        def gone
          @gone ||= begin
            keys = @wanted.to_set(&:key)
            known.reject { |key, _| keys.include?(key) }.values.sort_by { |one| one.relation? ? 0 : 1 }
          end
        end

        # @return [Array<Altered>]
        def altered
          @altered ||= @wanted.filter_map do |wanted|
            element = known[wanted.key] or next
            changes = changes(element, wanted)
            Altered.new(element:, wanted:, changes:) if changes.any?
          end
        end

        def empty? = added.empty? && gone.empty? && altered.empty?

        private

        def changes(element, wanted)
          facts = FACTS.fetch(element.kind, []).filter_map do |fact|
            [fact, [element[fact], wanted.facts[fact]]] unless element[fact] == wanted.facts[fact]
          end
          facts.to_h.merge(named(element, wanted)).merge(held(element, wanted)).merge(ended(element, wanted))
        end

        # A name that had to be made different stays so.
        def named(element, wanted)
          return {} if wanted.name.nil? || element.name == wanted.name || element.name == Comparison.told_apart(wanted)

          { "name" => [element.name, wanted.name] }
        end

        def self.told_apart(wanted) = "#{wanted.name} (#{wanted.key})"

        def held(element, wanted)
          return {} if wanted.ends

          now = element.container_id && key(element.container_id)
          now == wanted.within ? {} : { "in" => [now, wanted.within] }
        end

        def ended(element, wanted)
          wanted.ends.to_h.filter_map do |role, end_key|
            now = key(element.target(role))
            [role, [now, end_key]] unless now == end_key
          end.to_h
        end

        def key(id) = @set.element(id)&.external_id&.delete_prefix(mark)
      end
    end
  end
end
