# frozen_string_literal: true

require "csv"

module Basalt
  module Data
    module Physical
      module Samples
        # Rows for tables that respect their keys, uniqueness, references, checks, enumerations and domains. What cannot be respected is
        # told, and a server that takes the rows proves the constraints.
        class Rows
          # Rows of a table: by column in order, with what could not be done.
          Sample = Value.of(:table, :columns, :rows)
          MOST = 10_000
          TRIES = 120

          # @param set [Model::WorkingSet, Change::Draft]
          # @param things [Array<Model::Element>, nil] of which the tables get rows; nil for all
          # @param count [Integer] of rows for each table
          def initialize(set, things = nil, count: 20, seed: 1)
            raise Mistake, "There are at most #{MOST} rows for a table" unless count.between?(1, MOST)

            @set = set
            @things = things || set.of_kind("table", "view", Kinds::OBJECT)
            @count = count
            @random = Random.new(seed)
            @objects = set.of_kind(Kinds::OBJECT).to_h { |one| [one.name, one] }
            @told = []
          end

          # @return [Array<Sample>] in an order in which they load
          def samples
            @samples ||= begin
              @made = {}
              tables.each { |table| @made[table.id] = sample(table) }
              @made.values
            end
          end

          # @return [Array<String>] what is left out, in words
          def told = samples && @told.uniq

          # @return [String] as statements
          def sql = "#{statements.map(&:text).join("\n\n")}\n"

          # @return [Array<Script::Statement>]
          def statements = samples.reject { |one| one.rows.empty? }.map { |one| inserted(one) }

          # @return [Hash{String => String}] by the name of a file, its rows as CSV (RFC 4180)
          def csv
            samples.to_h do |one|
              lines = [one.columns.map(&:name), *one.rows.map { |row| row.map { |value| plain(value) } }]
              ["#{one.table.name.tr("\"/", "")}.csv", lines.map { |line| ::CSV.generate_line(line) }.join]
            end
          end

          private

          def inserted(one)
            names = one.columns.map { |column| SQLName.quote(column.name) }.join(", ")
            rows = one.rows.map { |row| "(#{row.map { |value| literal(value) }.join(", ")})" }.join(",\n  ")
            over = " OVERRIDING SYSTEM VALUE" if one.columns.any? { |column| Numbering::IDENTITY.key?(column["generated"]) }
            text = "INSERT INTO #{SQLName.qualified(one.table.name)} (#{names})#{over} VALUES\n  #{rows};"
            Script::Statement.new(text:, element_id: one.table.id)
          end

          def tables
            found = Needs.new(@set, @things).order.select { |one| one.kind == "table" }
            found.reject { |table| left_out?(table) }
          end

          # Which rows a partition takes, and what is kept as SQL, only the server knows.
          def left_out?(table)
            why = ("is split or inherits" if table["partitioned"] || Sentences.inheritances(@set, table.id).any?)
            kept = Sentences.additions(@set, table.id).any? { |one| Additions.rank(one["written"].to_s) == 1 }
            why ||= "refers to another by what is kept as SQL" if kept
            why ||= "has no columns" if Tabling.columns(@set, table.id).empty?
            @told << "#{table.name} #{why}, and gets no rows" if why
            !why.nil?
          end

          def literal(value)
            case value
            when nil then "NULL"
            when true, false then value.to_s.upcase
            when Rational then plain(value)
            when Numeric then value.to_s
            else SQLName.text(value)
            end
          end

          def plain(value) = value.is_a?(Rational) ? decimal(value) : value&.to_s
          def decimal(value) = value.denominator == 1 ? value.numerator.to_s : value.to_f.round(6).to_s

          def sample(table)
            columns = Tabling.columns(@set, table.id).reject { |one| one["generated"] && !Numbering::WORDS.include?(one["generated"]) }
            maker = RowMaker.new(self, @set, table, columns, @random)
            rows = Array.new(wanted(table)) { |index| maker.row(index, TRIES) }.compact
            @told.concat(maker.told)
            Sample.new(table:, columns:, rows: rows.map { |row| row.values_at(*columns.map(&:name)) })
          end

          # Where each row of another table needs some of this one there are enough.
          def wanted(table)
            needed = Tabling.references(@set, table.id).flat_map do |reference|
              minimums = @set.relations_of(reference.target("to"), "minimum").select { |one| one.target("of") == table.id }
              minimums.map { |one| one["least"].to_i * (@made[reference.target("to")]&.rows&.length || 0) }
            end
            [@count, *needed].max
          end

          public

          # For {RowMaker}: rows that are made already, as hashes.
          #
          # @return [Array<Hash>, nil] nil where the table has none yet
          def of(table_id) = @made[table_id]&.then { |one| one.rows.map { |row| one.columns.map(&:name).zip(row).to_h } }

          # What a type comes to: the type beneath, the values of an enumeration, the checks of domains, and whether there has to be one.
          Resolved = Value.of(:type, :values, :checks, :required)

          # @return [Resolved]
          def resolved(type)
            object = @objects[type.to_s.delete_prefix("#{Reading::USUAL}.")] or return Resolved.new(type:, checks: [])
            values = Enumeration.values(object["written"].to_s) and return Resolved.new(type: "text", values:, checks: [])

            made = PostgresParser.parse(object["written"].to_s).tree.stmts.first&.stmt
            made&.node == :create_domain_stmt ? domain(made.create_domain_stmt) : Resolved.new(type:, checks: [])
          end

          private

          def domain(made)
            said = made.constraints.map(&:constraint)
            checks = said.select { |one|
              one.contype == :CONSTR_CHECK
            }.map { |one| Condition.new(PostgresParser.deparse_expr(one.raw_expr)) }
            beneath = resolved(TypeName.of(made.type_name).first)
            beneath.with(checks: beneath.checks + checks, required: beneath.required || said.any? { |one| one.contype == :CONSTR_NOTNULL })
          end
        end
      end
    end
  end
end
