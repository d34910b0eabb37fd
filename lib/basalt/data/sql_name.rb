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
      def text(words) = "'#{words.gsub("'", "''")}'"
    end
  end
end
