# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # What PostgreSQL calls a constraint or an index that nobody called anything (PostgreSQL 15, ChooseRelationName in
      # src/backend/commands/indexcmds.c), as far as that is told by table and columns alone.
      module UsualName
        ENDINGS = { "key" => "pkey", "unique" => "key", "index" => "idx", "reference" => "fkey", "check" => "check" }.freeze
        LONGEST = 63

        module_function

        # @param what [String] a key of ENDINGS
        # @param columns [Array<String>]
        # @return [Boolean] whether a name is the one that it would get anyway
        def usual?(name, what, table, columns) = name == of(what, table, columns) && name.bytesize <= LONGEST

        # @return [String]
        def of(what, table, columns) = [table, *(what == "key" ? [] : columns), ENDINGS.fetch(what)].join("_")

        # @return [String, nil] the name where it has to be said
        def said(name, what, table, columns) = name.to_s.empty? || usual?(name, what, table, columns) ? nil : name
      end
    end
  end
end
