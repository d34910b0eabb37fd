# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # Functional dependencies among the columns of a table: closures, candidate keys, the highest normal form, and ways of splitting the
      # table (E. F. Codd, "Further Normalization of the Data Base Relational Model", 1971; P. A. Bernstein, "Synthesizing Third Normal Form
      # Relations from Functional Dependencies", 1976).
      class NormalForms
        # That some columns determine others.
        Dependency = Value.of(:left, :right) do
          def to_s = "#{left.to_a.join(", ")} determines #{right.to_a.join(", ")}"
        end
        # A dependency that keeps the table from a form.
        Breach = Value.of(:dependency, :form)
        # Columns that stand together, and the key of them.
        Relation = Value.of(:columns, :key)

        FORMS = ["second", "third", "Boyce-Codd"].freeze
        # Of more columns than these not every key is looked for.
        MOST = 18

        # @param columns [Array<String>]
        # @param dependencies [Array<Dependency>]
        def initialize(columns, dependencies)
          @columns = columns.to_set
          @dependencies = dependencies.map { |one|
            one.with(left: one.left.to_set & @columns, right: (one.right.to_set & @columns) - one.left)
          }
            .reject { |one| one.right.empty? }
        end

        # @param names [Enumerable<String>]
        # @return [Set<String>] all that they determine
        def closure(names, among = @dependencies)
          found = names.to_set.dup
          loop do
            more = among.select { |one| one.left.subset?(found) && !one.right.subset?(found) }
            return found if more.empty?

            more.each { |one| found.merge(one.right) }
          end
        end

        # @return [Array<Set<String>>] the fewest columns that determine all, in every way there is
        def keys
          @keys ||= begin
            fixed = @columns - @dependencies.map(&:right).reduce(Set.new, :|)
            closure(fixed) == @columns ? [fixed] : larger(fixed)
          end
        end

        # @return [Set<String>] columns that are in a candidate key
        def prime = @prime ||= keys.reduce(Set.new, :|)

        # @return [Array<Breach>] what breaks which form, the lowest form first
        def breaches
          single.filter_map { |one| form(one)&.then { |form| Breach.new(dependency: one, form:) } }.sort_by { |one| FORMS.index(one.form) }
        end

        # @return [String] the highest form up to that of Boyce and Codd
        def highest
          first = breaches.first&.form or return FORMS.last
          index = FORMS.index(first)
          index.zero? ? "first" : FORMS[index - 1]
        end

        # @return [Array<Dependency>] the same said as briefly as can be, each of one column at its right
        def minimal
          found = single.map { |one| narrowed(one) }.uniq
          found.dup.each do |one|
            others = found - [one]
            found = others if closure(one.left, others).superset?(one.right)
          end
          found
        end

        # @return [Array<Relation>] in third normal form, lossless and with every dependency kept
        def synthesis
          groups = minimal.group_by(&:left).map { |left, found| Relation.new(columns: left | found.map(&:right).reduce(:|), key: left) }
          left = @columns - groups.map(&:columns).reduce(Set.new, :|)
          groups << Relation.new(columns: keys.first | left, key: keys.first | left) unless left.empty?
          groups << Relation.new(columns: keys.first, key: keys.first) unless groups.any? { |one| closure(one.columns) == @columns }
          groups.reject { |one| groups.any? { |other| !other.equal?(one) && one.columns.proper_subset?(other.columns) } }
        end

        private

        def single = @dependencies.flat_map { |one| one.right.map { |name| one.with(right: Set[name]) } }

        # Keys with one column more, and one more, until none can be added.
        def larger(fixed)
          rest = (@columns - fixed).to_a
          raise Mistake, "of a table of more than #{MOST} columns that could be keys they are not looked for" if rest.length > MOST

          (1..rest.length).each_with_object([]) do |size, found|
            rest.combination(size) do |more|
              key = fixed | more
              found << key if found.none? { |known| known.subset?(key) } && closure(key) == @columns
            end
          end
        end

        # Second: a part of a key determines; third: what is no key does; Boyce and Codd's: what is no key determines a part of one.
        def form(one)
          return if closure(one.left) == @columns
          return "Boyce-Codd" if one.right.subset?(prime)

          keys.any? { |key| one.left.proper_subset?(key) } ? "second" : "third"
        end

        def narrowed(one)
          one.left.to_a.reduce(one) do |found, name|
            fewer = found.left - [name]
            closure(fewer).superset?(found.right) ? found.with(left: fewer) : found
          end
        end
      end
    end
  end
end
