# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      class Migration
        # What makes one column of another of the same name.
        class ColumnSteps
          # Types whose values another takes whole (PostgreSQL 15, 8.1).
          WIDER = {
            "smallint" => %w[integer bigint numeric], "integer" => %w[bigint numeric], "bigint" => %w[numeric],
            "real" => ["double precision"],
            "date" => %w[timestamp timestamptz]
          }.freeze
          KIN = [/\A(?:smallint|integer|bigint|numeric|real|double)[^\[]*\z/, /\A(?:date|time)[^\[]*\z/,
                 /\A(?:text|varchar|char)[^\[]*\z/].freeze
          SIZED = /\A(varchar|char|bit|varbit|numeric)(?:\((\d+)(?:,(\d+))?\))?\z/

          # @param table [Model::Element]
          # @param name [String] of the table, as SQL has it
          def initialize(table, name, old, now)
            @table = table
            @about = "ALTER TABLE #{name}"
            @column = SQLName.quote(now.name)
            @old = old
            @now = now
          end

          # @return [Array<Step>]
          def steps
            (unnumbered_first + generated + type + default + required + numbering + sequence).map { |one| one.with(element_id: @table.id) }
          end

          private

          def alter(words, phase: :alter, **rest) = Step.new(phase:, sql: "#{@about} ALTER COLUMN #{@column} #{words};", **rest)
          def other?(fact) = @old[fact] != @now[fact]
          def numbers?(column) = Numbering::WORDS.include?(column["generated"])

          def type
            return [] unless other?("type")

            lost = "values of #{@table.name}.#{@now.name} that are no #{@now["type"]} stop it, or lose figures" unless wider?
            [
              (alter("DROP DEFAULT") if @old["default"]), alter("TYPE #{@now["type"]} USING #{@column}#{cast}", loses: lost),
              (alter("SET DEFAULT #{@now["default"]}") if @now["default"] && !numbers?(@now))
            ].compact
          end

          # Values of sorts that are no kin are read as they are written.
          def cast
            to = @now["type"].sub(/\s+COLLATE\s.*\z/, "")
            kin = KIN.any? { |words| [@old["type"].to_s, to].all? { |type| type.match?(words) } }
            kin ? "::#{to}" : "::text#{"[]" if to.end_with?("]") && @old["type"].to_s.end_with?("]")}::#{to}"
          end

          def wider?
            old, now = [@old["type"].to_s, @now["type"].to_s]
            return true if now == "text" && old.match?(/\A(?:varchar|char|text)/)
            return true if WIDER.fetch(old, []).include?(now[/\A[a-z ]+/].to_s.strip) && !now.match?(/\Anumeric\(/)

            sized?(old.match(SIZED), now.match(SIZED))
          end

          def sized?(old, now)
            return false unless old && now && old[1] == now[1] && old[1] != "char"
            return true if now[2].nil?

            !old[2].nil? && whole(now) >= whole(old) && now[3].to_i >= old[3].to_i
          end

          # Figures before the point.
          def whole(sized) = sized[2].to_i - sized[3].to_i

          def default
            return [] if !other?("default") || other?("type") || numbers?(@now)

            [alter(@now["default"] ? "SET DEFAULT #{@now["default"]}" : "DROP DEFAULT")]
          end

          def required
            was, is = [@old, @now].map { |one| one["required"] || one["key"] || false }
            return [] if was == is || (is && numbers?(@now))

            [alter(is ? "SET NOT NULL" : "DROP NOT NULL", phase: is ? :alter : :narrow)]
          end

          # A column that is worked out is made anew where it is worked out otherwise.
          def generated
            old, now = [@old, @now].map { |one| one["generated"] unless numbers?(one) }
            return [] if old == now
            return [alter("DROP EXPRESSION")] if now.nil?

            said = [@column, @now["type"], Numbering.clause(@now), ("NOT NULL" if @now["required"])].compact.join(" ")
            lost = "what stands in #{@table.name}.#{@now.name}" unless old
            [Step.new(phase: :narrow, sql: "#{@about} DROP COLUMN #{@column};", loses: lost),
             Step.new(phase: :narrow, sql: "#{@about} ADD COLUMN #{said};")]
          end

          def renumbered? = (numbers?(@old) || numbers?(@now)) && (other?("generated") || other?("numbering"))
          def identities? = [@old, @now].all? { |one| Numbering::IDENTITY.key?(one["generated"]) }

          # A column that numbers rows has no other type before it does so no more, nor numbers before it has its type.
          def unnumbered_first = renumbered? && !identities? ? unnumbered : []

          def numbering
            return [] unless renumbered?

            identities? ? between : numbered
          end

          def between
            way = Numbering::IDENTITY.fetch(@now["generated"])
            return [alter("SET GENERATED #{way}")] unless other?("numbering")

            [alter("DROP IDENTITY", loses: "the numbers given so far"), alter("ADD GENERATED #{way} AS IDENTITY#{Numbering.options(@now)}")]
          end

          def unnumbered
            return [] unless numbers?(@old)
            return [alter("DROP IDENTITY")] unless @old["generated"] == Numbering::SERIAL

            [alter("DROP DEFAULT"), Step.new(phase: :alter, sql: "DROP SEQUENCE #{SQLName.qualified(sequence_of(@old))};")]
          end

          def numbered
            return [] unless numbers?(@now)

            first = [alter("SET NOT NULL")].reject { @old["required"] || @old["key"] }
            way = Numbering::IDENTITY[@now["generated"]]
            return first + sequenced(SQLName.qualified(sequence_of(@now))) unless way

            first << alter("ADD GENERATED #{way} AS IDENTITY#{Numbering.options(@now)}")
          end

          def sequenced(name)
            [
              Step.new(phase: :alter, sql: "CREATE SEQUENCE #{name} AS #{@now["type"]};"),
              alter("SET DEFAULT nextval(#{SQLName.text(name)})"),
              Step.new(phase: :alter, sql: "ALTER SEQUENCE #{name} OWNED BY #{@about.delete_prefix("ALTER TABLE ")}.#{@column};")
            ]
          end

          def sequence_of(column) = column["sequence"] || FirstNames.usual_sequence(@table, column)

          def sequence
            return [] unless numbers?(@old) && numbers?(@now) && !other?("generated") && !other?("numbering")

            was, is = [@old, @now].map { |one| sequence_of(one) }
            return [] if was == is || @now["numbering"]

            [Step.new(phase: :rename, sql: "ALTER SEQUENCE #{SQLName.qualified(was)} RENAME TO #{SQLName.quote(SQLName.local(is))};")]
          end
        end
      end
    end
  end
end
