# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # What PostgreSQL calls a constraint or an index that nobody called anything (PostgreSQL 15, ChooseRelationName in
      # src/backend/commands/indexcmds.c), as far as that is told by table and columns alone.
      module UsualName
        ENDINGS = { "key" => "pkey", "unique" => "key", "index" => "idx", "reference" => "fkey", "check" => "check",
                    "exclusion" => "excl" }.freeze
        LONGEST = 63

        module_function

        # @param what [String] a key of ENDINGS
        # @param columns [Array<String>]
        # @return [Boolean] whether a name is the one that it would get anyway
        def usual?(name, what, table, columns) = name == of(what, table, columns)

        # @return [String] of two long parts the longer is shortened first (makeObjectName)
        def of(what, table, columns)
          parts = [table, *(columns.join("_") unless what == "key" || columns.empty?)]
          ending = ENDINGS.fetch(what)
          room = LONGEST - ending.bytesize - parts.length
          lengths = parts.map(&:bytesize)
          while lengths.sum > room
            longer = lengths.length > 1 && lengths[0] <= lengths[1] ? 1 : 0
            lengths[longer] -= 1
          end
          [*parts.zip(lengths).map { |part, length| part.byteslice(0, length).scrub("") }, ending].join("_")
        end

        # @return [String, nil] the name where it has to be said
        def said(name, what, table, columns) = name.to_s.empty? || usual?(name, what, table, columns) ? nil : name
      end
    end
  end
end
