# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # Constraints of a table, where it is made and where they are added to it.
      class Constraints
        ACTIONS = { "c" => "cascade", "n" => "set null", "d" => "set default", "r" => "restrict" }.freeze

        def initialize(reading, table)
          @reading = reading
          @table = table
        end

        # @param one [PgQuery::Constraint]
        # @param names [Array<String>] of the columns where the constraint stands at one
        def take(one, names = nil)
          @reading.lost(Extras.of_constraint(one))
          return adopt(one) unless one.indexname.empty?

          case one.contype
          when :CONSTR_PRIMARY then key(one, names || strings(one.keys))
          when :CONSTR_UNIQUE then unique(one, names || strings(one.keys))
          when :CONSTR_EXCLUSION then exclusion(one)
          when :CONSTR_CHECK then check(one)
          when :CONSTR_FOREIGN then refer(one, names || strings(one.fk_attrs))
          else keep(one)
          end
        end

        # @return [Model::Element, nil] the constraint that is made; nil where the table has one that says the same, and this is kept as SQL
        def constrain(type, names, text, sql)
          once(Tabling.constraints(draft, @table.id), sql) { Tabling.constrain(@reading.context, @table, type, names, text) }
        end

        private

        def draft = @reading.draft
        def set(element, fact, value) = @reading.set(element, fact, value)
        def strings(nodes) = nodes.map { |node| node.string.sval }
        def said(name) = name.empty? ? nil : name
        def local = SQLName.local(@table.name)
        def validity(one) = one.skip_validation ? "not valid" : nil
        def deferring(one) = one.initdeferred ? "initially deferred" : ("deferrable" if one.deferrable)
        def keep(one) = @reading.add(@table, Spelled.adding(@table.name, one))

        # Columns that the table only inherits belong to another.
        def own?(names) = names.all? { |name| Tabling.column(draft, @table.id, name) }

        def key(one, names)
          one.keys.replace(names.map { |name| PgQuery::Node.from_string(name) })
          names.each { |name| Tabling.column!(draft, @table, name) }
          return keep(one) unless own?(names)

          Tabling.key(@reading.context, @table, names)
          names.each { |name| set(Tabling.column!(draft, @table, name), "required", true) }
          set(@table, "key_called", UsualName.said(one.conname, "key", local, []))
          set(@table, "key_written", Spelled.key(one))
        end

        def unique(one, names)
          one.keys.replace(names.map { |name| PgQuery::Node.from_string(name) }) if one.keys.empty?
          text = AsWritten.of_constraint("unique", one)
          made = constrain("unique", names, text, Spelled.adding(@table.name, one)) or return
          set(made, "called", text ? said(one.conname) : UsualName.said(one.conname, "unique", local, names))
          set(made, "deferred", deferring(one))
        end

        def once(before, sql)
          made = yield
          return made if before.none? { |one| one.id == made.id }

          @reading.add(@table, sql)
          nil
        end

        def exclusion(one)
          text = AsWritten.of_constraint("exclusion", one)
          made = constrain("exclusion", AsWritten.columns("exclusion", text), text, Spelled.adding(@table.name, one)) or return
          set(made, "called", said(one.conname))
          set(made, "deferred", deferring(one))
        end

        def check(one)
          expression = PostgresParser.deparse_expr(one.raw_expr)
          sql = Spelled.adding(@table.name, one)
          made = once(Tabling.checks(draft, @table.id), sql) { Tabling.check(@reading.context, @table, expression) } or return

          { "called" => said(one.conname), "inheritance" => ("no inherit" if one.is_no_inherit), "validity" => validity(one) }
            .each { |fact, value| set(made, fact, value) if value }
        end

        # At once where all that it speaks of is there, since that may be called otherwise later; else at the end of the script.
        def refer(one, names)
          return reference(one, names) if referable?(one, names)

          @reading.wait do
            table = draft.element(@table.id) || raise(Mistake, "#{@table.name} was dropped")
            Constraints.new(@reading, table).reference(one, names)
          end
        end

        public

        # For when it has waited.
        def reference(one, names)
          target = target(one)
          keys = strings(one.pk_attrs)
          one = named(one, names)
          return keep(one) if target.kind != "table" || (keys.empty? && keyed_otherwise?(target))

          made = once(Tabling.references(draft, @table.id), Spelled.adding(@table.name, one)) do
            Tabling.refer(@reading.context, @table, names, target, keys.empty? ? nil : keys)
          end
          made && say(made, one, names)
        end

        private

        def target(one)
          @reading.thing(one.pktable) or
            raise Mistake, "#{@table.name} refers to #{one.pktable.relname}, which the script does not make"
        end

        # A key of columns that the table only inherits is kept as SQL.
        def keyed_otherwise?(target)
          return false if Tabling.key_columns(draft, target.id).any?

          Sentences.additions(draft, target.id).any? { |one| one["written"].match?(Additions::KEYS) } ||
            raise(Mistake, "#{target.name} has no key that #{@table.name} could refer to")
        end

        def named(one, names)
          one.fk_attrs.replace(names.map { |name| PgQuery::Node.from_string(name) }) if one.fk_attrs.empty?
          one
        end

        def say(made, one, names)
          { "deleting" => ACTIONS[one.fk_del_action], "updating" => ACTIONS[one.fk_upd_action], "full" => one.fk_matchtype == "f",
            "deferred" => deferring(one), "validity" => validity(one) }.each { |fact, value| set(made, fact, value) if value }
          Tabling.empty(@reading.context, made, @table, strings(one.fk_del_set_cols)) if one.fk_del_set_cols.any?
          set(made, "called", UsualName.said(one.conname, "reference", local, names))
        end

        def referable?(one, names)
          target = @reading.thing(one.pktable) or return false
          return true unless target.kind == "table"

          keys = strings(one.pk_attrs)
          there = keys.empty? ? Tabling.key_columns(draft, target.id).any? : columns?(target, keys)
          there && columns?(@table, names)
        end

        def columns?(table, names) = names.all? { |name| Tabling.standing(draft, table.id, name) }

        # An index becomes the constraint, and is called as that is (PostgreSQL 15, ALTER TABLE ADD table_constraint_using_index).
        def adopt(one)
          index = Naming.index(draft, @table, one.indexname) or raise Mistake, "#{@table.name} has no index #{one.indexname}"
          columns = index.targets("column").map { |id| draft.element(id).name }
          as_key = one.contype == :CONSTR_PRIMARY
          raise Mistake, "only a plain index is read as a key" if as_key && index["as_written"]

          called = said(one.conname) || one.indexname
          return become(index, called, one) unless as_key

          draft.apply(Change::Remove.new(id: index.id))
          one.conname = called
          one.indexname = ""
          key(one, columns)
        end

        def become(index, called, one)
          { "type" => "unique", "called" => called, "deferred" => deferring(one) }.each { |fact, value| set(index, fact, value) }
        end
      end
    end
  end
end
