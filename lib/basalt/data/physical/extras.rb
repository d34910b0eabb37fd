# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # What a statement says that the model does not hold, in words, so that nothing is left out silently (PostgreSQL 15, CREATE TABLE and
      # CREATE INDEX). Tablespaces belong to one server, and not to a schema.
      module Extras
        module_function

        # @return [Array<String>]
        def of_table(made) = ["its tablespace"].reject { made.tablespacename.empty? }
        def of_constraint(one) = [*("MATCH PARTIAL" if one.fk_matchtype == "p"), *("its tablespace" unless one.indexspace.empty?)]
        def of_index(made) = ["its tablespace"].reject { made.table_space.empty? }
      end
    end
  end
end
