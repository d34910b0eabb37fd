# frozen_string_literal: true

require "pg_query"

module Basalt
  module Data
    # PostgreSQL's own parser. It is large, and loaded with the first SQL that is read.
    PostgresParser = PgQuery
  end
end
