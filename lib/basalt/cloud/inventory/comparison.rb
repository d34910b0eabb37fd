# frozen_string_literal: true

module Basalt
  module Cloud
    module Inventory
      # An inventory beside what a model has of the same account: what is new, what is gone, and what became another. What people added
      # is not looked at: things that came from no inventory, and facts of which an inventory says nothing. A thing that was drawn
      # before its account came in is the one of its kind, name and place there.
      class Comparison
        # +changes+ are pairs of the value there is and the one that is wanted, by fact; +name+, +in+ and roles of ends among them.
        Altered = Value.of(:element, :wanted, :changes)
        FACTS = {
          Kinds::BOUNDARY => %w[level prefixes zone details],
          Kinds::RESOURCE => %w[service address public zone details],
          Kinds::RULE => %w[action direction protocol ports block anybody],
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

        # @return [String] a name that nothing else has
        def self.told_apart(wanted) = "#{wanted.name} (#{wanted.key})"

        attr_reader :mark

        # @return [Hash{String => Model::Element}] what the project has of the account, by key
        def known = @known ||= came.merge(met)

        # @return [Hash{String => Model::Element}] what came from it before
        def came =
          @came ||=
            begin
              own = @set.of_kind(*KINDS).select { |one| one.external_id&.start_with?(mark) }
              own.to_h { |one| [one.external_id.delete_prefix(mark), one] }
            end

        # @return [Hash{String => Model::Element}] what was there, and did not come from the account
        def met
          @met ||= begin
            found = came.dup
            used = found.values.to_set(&:id)
            @wanted.each_with_object({}) do |wanted, adopted|
              next if found.key?(wanted.key)

              one = alike(wanted, found).find { |element| used.add?(element.id) } or next
              found[wanted.key] = adopted[wanted.key] = one
            end
          end
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

        # @return [Array<Model::Element>] what could be the same, and came from nowhere else
        def alike(wanted, found)
          all = wanted.ends ? joined(wanted, found) : placed(wanted, found)
          all.select { |one| one.kind == wanted.kind && one.external_id.nil? }
        end

        def placed(wanted, found)
          named = @set.named(wanted.name)
          within = wanted.within && found[wanted.within]&.id
          sort = wanted.facts.slice("level", "service")
          named.select { |one| one.container_id == within && sort.all? { |fact, value| one[fact] == value } }
        end

        def joined(wanted, found)
          ends = wanted.ends.transform_values { |key| found[key]&.id }
          return [] if ends.value?(nil)

          facts = FACTS.fetch(wanted.kind, [])
          @set.relations_of(ends.values.first, wanted.kind).select do |one|
            ends.all? { |role, id| one.target(role) == id } && facts.all? { |fact| one[fact] == wanted.facts[fact] }
          end
        end

        def changes(element, wanted)
          facts = FACTS.fetch(element.kind, []).filter_map do |fact|
            [fact, [element[fact], wanted.facts[fact]]] unless element[fact] == wanted.facts[fact]
          end
          [named(element, wanted), held(element, wanted), ended(element, wanted), ranked(element, wanted)].reduce(facts.to_h, :merge)
        end

        # Rules of a list are in another order, or others come among them.
        def ranked(element, wanted)
          place = wanted.facts[Kinds::PLACE]
          return {} if place.nil? || place == element[Kinds::PLACE] || in_order?(wanted.ends["holder"])

          { Kinds::PLACE => [element[Kinds::PLACE], place] }
        end

        def in_order?(holder)
          (@in_order ||= {})[holder] ||= begin
            rules = @wanted.select { |one| one.kind == Kinds::RULE && one.ends["holder"] == holder }.map { |one| known[one.key] }
            keys = rules.map { |rule| rule && [Change::Reorder.key(rule), rule.ordinal] }
            keys.all? && keys == keys.sort ? :yes : :no
          end
          @in_order[holder] == :yes
        end

        # A name that had to be made different stays so.
        def named(element, wanted)
          return {} if wanted.name.nil? || element.name == wanted.name || element.name == Comparison.told_apart(wanted)

          { "name" => [element.name, wanted.name] }
        end

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

        def key(id) = (@keys ||= known.to_h { |key, element| [element.id, key] })[id]
      end
    end
  end
end
