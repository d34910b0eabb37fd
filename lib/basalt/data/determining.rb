# frozen_string_literal: true

module Basalt
  module Data
    # Which columns of a table determine which others, as sentences.
    module Determining
      KIND = "determination"

      module_function

      def of(set, table_id) = set.relations_of(table_id, KIND)

      # @return [Array<Logical::NormalForms::Dependency>] what is said, and that the key and what is unique determine all
      def dependencies(set, table)
        said = of(set, table.id).map { |one| %w[left right].map { |role| names(set, one.targets(role)) } }
        all = Tabling.columns(set, table.id).map(&:name)
        whole = [Tabling.key_columns(set, table.id).map(&:name), *unique(set, table)].reject(&:empty?).map { |left| [left, all - left] }
        (said + whole).map { |left, right| Logical::NormalForms::Dependency.new(left: left.to_set, right: right.to_set) }
      end

      # @return [Logical::NormalForms]
      def forms(set, table) = Logical::NormalForms.new(Tabling.columns(set, table.id).map(&:name), dependencies(set, table))

      def unique(set, table) =
        Tabling.constraints(set, table.id).select { |one| Tabling.unique?(one) }.map { |one| names(set, one.targets("column")) }

      def names(set, ids) = ids.map { |id| set.element(id).name }

      def say(context, said)
        left, right = %i[left right].map { |side| said[side].map { |name| Tabling.column!(context.draft, said[:table], name.to_str).id } }
        raise Mistake, "columns determine themselves anyway" if (right - left).empty?

        of(context.draft, said[:table].id).find { |one| one.targets("left") == left && one.targets("right") == right } ||
          context.add(KIND, ends: [["table", said[:table].id], *left.map { |id| ["left", id] }, *right.map { |id| ["right", id] }])
      end

      def tell(unparser, one)
        left, right = %w[left right].map { |role| Tabling.listed(unparser, names(unparser.set, one.targets(role))) }
        [unparser.say("in", unparser.thing(one.target("table")), *left, "determines", *right)]
      end
    end
  end
end
