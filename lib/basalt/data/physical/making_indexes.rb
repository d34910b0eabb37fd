# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # What CREATE INDEX makes.
      class MakingIndexes
        def initialize(reading)
          @reading = reading
        end

        # @param made [PgQuery::IndexStmt]
        # @return [Boolean] whether it is modelled
        def take(made)
          owner = @reading.thing(made.relation) or raise Mistake, "#{made.relation.relname} is not made by the script"
          return @reading.add(owner) unless owner.kind == "table"
          return true if made.if_not_exists && Naming.index(@reading.draft, owner, made.idxname)

          @reading.lost(Extras.of_index(made))
          index(owner, made)
          true
        end

        private

        def index(table, made)
          text = AsWritten.of_index(made)
          type = made.unique ? "unique index" : "index"
          names = text ? AsWritten.columns(type, text) : made.index_params.map { |one| one.index_elem.name }
          index = Constraints.new(@reading, table).constrain(type, names, text, @reading.piece.text) or return
          local = SQLName.local(table.name)
          called = text ? made.idxname.then { |name| name unless name.empty? } : UsualName.said(made.idxname, "index", local, names)
          @reading.set(index, "called", called)
        end
      end
    end
  end
end
