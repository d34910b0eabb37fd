# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # What a script does beside making a schema: it sets how it is loaded, says who owns what, and brings data.
      module Housekeeping
        SETTINGS = %w[setting settings].freeze
        OWNERS = ["owner", "owners"].freeze
        RIGHTS = ["right given or taken", "rights given or taken"].freeze
        DATA = ["statement with data", "statements with data"].freeze
        TRANSACTIONS = ["mark of a transaction", "marks of transactions"].freeze

        BY_NODE = {
          variable_set_stmt: SETTINGS, alter_owner_stmt: OWNERS, grant_stmt: RIGHTS, grant_role_stmt: RIGHTS,
          alter_default_privileges_stmt: RIGHTS, transaction_stmt: TRANSACTIONS, copy_stmt: DATA, insert_stmt: DATA, select_stmt: SETTINGS
        }.freeze

        module_function

        # @param statement [PgQuery::Node]
        # @return [Array(String, String), nil] what it is, one and several of it; nil where it is of the schema
        def words(statement)
          return owner(statement.alter_table_stmt) if statement.node == :alter_table_stmt

          BY_NODE[statement.node]
        end

        def owner(alter) = alter.cmds.all? { |one| one.alter_table_cmd.subtype == :AT_ChangeOwner } ? OWNERS : nil
      end
    end
  end
end
