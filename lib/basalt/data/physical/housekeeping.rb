# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # What a script does beside making a schema: it sets how it is loaded, says who owns what, and brings data.
      module Housekeeping
        SETTINGS = %w[setting settings].freeze
        OWNERS = ["owner", "owners"].freeze
        RIGHTS = ["right given or taken", "rights given or taken"].freeze
        ROLES = ["role, database or tablespace of the server", "roles, databases or tablespaces of the server"].freeze
        TEMPORARY = ["temporary table, view or sequence", "temporary tables, views or sequences"].freeze
        # The language of functions that is in each database from the beginning.
        USUAL = ["statement about the language that every database has", "statements about the language that every database has"].freeze
        LANGUAGE = "plpgsql"
        # Where what makes something tells how long it lasts.
        MAKING = { create_stmt: :relation, view_stmt: :view, create_seq_stmt: :sequence, create_table_as_stmt: :into }.freeze
        DATA = ["statement with data", "statements with data"].freeze
        TRANSACTIONS = ["mark of a transaction", "marks of transactions"].freeze

        BY_NODE = {
          variable_set_stmt: SETTINGS, alter_owner_stmt: OWNERS, grant_stmt: RIGHTS, grant_role_stmt: RIGHTS,
          alter_default_privileges_stmt: RIGHTS, transaction_stmt: TRANSACTIONS, copy_stmt: DATA, insert_stmt: DATA, update_stmt: DATA,
          delete_stmt: DATA, truncate_stmt: DATA, select_stmt: SETTINGS, lock_stmt: SETTINGS,
          vacuum_stmt: SETTINGS, refresh_mat_view_stmt: DATA, drop_owned_stmt: OWNERS, reassign_owned_stmt: OWNERS,
          create_role_stmt: ROLES, alter_role_stmt: ROLES, drop_role_stmt: ROLES, create_table_space_stmt: ROLES, createdb_stmt: ROLES,
          alter_database_stmt: ROLES, alter_database_set_stmt: ROLES, discard_stmt: SETTINGS, constraints_set_stmt: SETTINGS
        }.freeze

        module_function

        # @param statement [PgQuery::Node]
        # @return [Array(String, String), nil] what it is, one and several of it; nil where it is of the schema
        def words(statement)
          return owner(statement.alter_table_stmt) if statement.node == :alter_table_stmt
          return TEMPORARY if temporary?(statement)
          return USUAL if language(statement) == LANGUAGE

          BY_NODE[statement.node]
        end

        # @return [String, nil] the language, or extension, that it makes or tells of
        def language(statement)
          case statement.node
          when :create_plang_stmt then statement.inner.plname
          when :create_extension_stmt then statement.inner.extname
          when :comment_stmt then statement.inner.object.string&.sval if statement.inner.objtype == :OBJECT_EXTENSION
          end
        end

        def temporary?(statement)
          field = MAKING[statement.node] or return false
          made = statement.inner
          relation = field == :into ? made.into.rel : made[field.to_s]
          relation.relpersistence == "t"
        end

        # @return [Boolean] whether it says in which schemas things are
        def path?(statement) = statement.node == :variable_set_stmt && statement.variable_set_stmt.name == "search_path"

        # @return [Array<String>] these, in order
        def path(statement) = statement.variable_set_stmt.args.filter_map { |one| one.a_const&.sval&.sval }.reject(&:empty?)

        def owner(alter) = alter.cmds.all? { |one| one.alter_table_cmd.subtype == :AT_ChangeOwner } ? OWNERS : nil
      end
    end
  end
end
