# frozen_string_literal: true

module Basalt
  module Data
    # Names in SQL (ISO/IEC 9075-2, 5.2): bare where they can be, quoted where they must.
    module SQLName
      # Reserved in PostgreSQL 15, appendix C.
      RESERVED = %w[
        all
        analyse
        analyze
        and
        any
        array
        as
        asc
        asymmetric
        authorization
        binary
        both
        case
        cast
        check
        collate
        collation
        column
        concurrently
        constraint
        create
        cross
        current_catalog
        current_date
        current_role
        current_schema
        current_time
        current_timestamp
        current_user
        default
        deferrable
        desc
        distinct
        do
        else
        end
        except
        false
        fetch
        for
        foreign
        freeze
        from
        full
        grant
        group
        having
        ilike
        in
        initially
        inner
        intersect
        into
        is
        isnull
        join
        lateral
        leading
        left
        like
        limit
        localtime
        localtimestamp
        natural
        not
        notnull
        null
        offset
        on
        only
        or
        order
        outer
        overlaps
        placing
        primary
        references
        returning
        right
        select
        session_user
        similar
        some
        symmetric
        table
        tablesample
        then
        to
        trailing
        true
        union
        unique
        user
        using
        variadic
        verbose
        when
        where
        window
        with
      ].to_set.freeze

      module_function

      def reserved?(name) = RESERVED.include?(name.downcase)
      def bare?(name) = name.match?(/\A[a-z_][a-z0-9_$]*\z/) && !reserved?(name)
      def quote(name) = bare?(name) ? name : "\"#{name.gsub('"', '""')}\""

      # A schema stands before the name of a table, with a point between them; either is in quotes where a point is part of it.
      #
      # @return [Array(String, String)] the schema, nil for the usual one, and the name
      def parts(name)
        return [nil, name] unless name.match?(/[".]/)

        found = name.match(/\A(?:(?<schema>"(?:[^"]|"")+"|[^".]+)\.)?(?<rest>"(?:[^"]|"")+"|[^".]+)\z/) or return [nil, name]
        [found[:schema], found[:rest]].map { |one| one && (one.start_with?('"') ? one[1..-2].gsub('""', '"') : one) }
      end

      # @return [String] what a table of the schema is called in the model
      def of(schema, name)
        return name if schema.nil? && (!name.match?(/[".]/) || parts(name) == [nil, name])

        [schema, name].compact.map { |one| one.match?(/[".]/) ? "\"#{one.gsub('"', '""')}\"" : one }.join(".")
      end

      # @return [String] as SQL has it, with its schema
      def qualified(name) = parts(name).compact.map { |one| quote(one) }.join(".")
      def schema(name) = parts(name).first
      def local(name) = parts(name).last
      def text(words) = "'#{words.gsub("'", "''")}'"
    end
  end
end
