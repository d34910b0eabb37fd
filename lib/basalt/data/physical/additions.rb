# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # In which order SQL stands that comes behind tables, views and other objects: what others rest on comes first.
      module Additions
        KEYS = /\A(?:ALTER\s+TABLE\b.*\b(?:PRIMARY\s+KEY|UNIQUE)\b|CREATE\s+(?:UNIQUE\s+)?INDEX\b)/im
        FOREIGN_KEYS = /\AALTER\s+TABLE\b.*\bFOREIGN\s+KEY\b/im
        COMMENTS = /\A(?:COMMENT|SECURITY\s+LABEL)\b/i

        NOUNS = "TRIGGER|RULE|POLICY|INDEX|STATISTICS"
        NAMED = /\ACREATE\s+(?:OR\s+REPLACE\s+)?(?:CONSTRAINT\s+|UNIQUE\s+)?(?<noun>#{NOUNS})\s+(?<name>"(?:[^"]|"")+"|[\w.]+)/i

        module_function

        # @return [String, nil] what it makes, where that has a name
        def title(sql) = sql.match(NAMED)&.then { |found| "#{found[:noun].downcase} #{found[:name].delete_prefix('"').delete_suffix('"')}" }

        # @return [Integer]
        def rank(sql)
          return 0 if sql.match?(KEYS) && !sql.match?(FOREIGN_KEYS)
          return 1 if sql.match?(FOREIGN_KEYS)

          sql.match?(COMMENTS) ? 3 : 2
        end
      end
    end
  end
end
