# frozen_string_literal: true

require "zlib"

module Basalt
  module Data
    module Physical
      # A minimum as constraint triggers that are looked at when a transaction ends (PostgreSQL 15,
      # CREATE TRIGGER): one on the table whose rows need others, one on the table of those others.
      class Trigger
        # @param definitions [Definitions] that names the tables
        # @return [Array<String>] statements; none where no foreign key says how the others refer
        def self.of(set, minimum, definitions)
          reference =
            Tabling
              .references(set, minimum.target("of"))
              .find { |one| one.targets("column") == minimum.targets("column") && one.targets("key").any? } or return []
          new(set, minimum, reference, definitions.method(:name)).statements
        end

        # @param reference [Model::Element] the foreign key by which the others refer
        # @param names [#call] gives the quoted name of a table by its id
        def initialize(set, minimum, reference, names)
          @minimum = minimum
          @table = names.call(minimum.target("table"))
          @other = names.call(minimum.target("of"))
          @title = set.element(minimum.target("table")).name
          @other_title = set.element(minimum.target("of")).name
          @pairs =
            reference.targets("column").zip(reference.targets("key")).map { |pair| pair.map { |id| SQLName.quote(set.element(id).name) } }
        end

        # @return [Array<String>] statements
        def statements
          [
            function("needed", "NEW", @pairs.map(&:last)),
            trigger("INSERT OR UPDATE", @table, "needed"),
            function("left", "OLD", @pairs.map(&:first)),
            trigger("DELETE OR UPDATE", @other, "left")
          ]
        end

        private

        def least = @minimum["least"].to_i

        # Told apart from those of other minimums by the columns, which a long name ends in a sum of.
        def name(part)
          whole = [@title, @other_title, *@pairs.map(&:first), part].join("_").tr('"', "")
          SQLName.quote(whole.bytesize <= 63 ? whole : "#{whole.byteslice(0, 46).scrub("")}_#{part}_#{format("%08x", Zlib.crc32(whole))}")
        end

        # Whichever row the transaction altered, what counts is how it stands at the end.
        def function(part, row, columns)
          message = "each row of #{@title} needs at least #{least} of #{@other_title}"
          body = <<~SQL
            BEGIN
              IF EXISTS (SELECT 1 FROM #{@table} AS one WHERE #{@pairs.zip(columns).map { |(_, key), column| "one.#{key} = #{row}.#{column}" }.join(" AND ")}
                  AND (SELECT count(*) FROM #{@other} AS other WHERE #{@pairs.map { |column, key| "other.#{column} = one.#{key}" }.join(" AND ")}) < #{least}) THEN
                RAISE EXCEPTION USING ERRCODE = 'check_violation', MESSAGE = #{SQLName.text(message)};
              END IF;
              RETURN NULL;
            END
          SQL
          "CREATE FUNCTION #{name(part)}() RETURNS trigger LANGUAGE plpgsql AS #{SQLName.text(body)};"
        end

        def trigger(events, table, part)
          "CREATE CONSTRAINT TRIGGER #{name(part)} AFTER #{events} ON #{table} DEFERRABLE INITIALLY DEFERRED " \
            "FOR EACH ROW EXECUTE FUNCTION #{name(part)}();"
        end
      end
    end
  end
end
