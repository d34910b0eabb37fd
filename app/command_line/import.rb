# frozen_string_literal: true

module CommandLine
  # Turns an inventory, or a schema written in SQL, into statements.
  class Import < Command
    USAGE = "bin/basalt import THINGS.csv|SCHEMA.sql --to FILE.basalt [--sheet NAME]"
    SUMMARY = "Turns a CSV inventory or a PostgreSQL schema into statements; exits with 1 when something was not taken."

    def describe(parser)
      super
      parser.on("--to FILE", "where to; a file that is there already is added to (its comments are not kept)") { |path| options[:to] = path }
      parser.on("--sheet NAME", "the sheet to show the things on (Inventory)") { |name| options[:sheet] = name }
    end

    private

    def act
      to = options[:to] or raise Basalt::Mistake, "Say where to: --to FILE.basalt"
      draft = Basalt::Change::Draft.new(File.exist?(to) ? Files.model(to) : Basalt::Model::WorkingSet.new, ids: Files.counter.then { |c| -> { "i#{c.call}" } })
      File.extname(file).casecmp?(".sql") ? schema(draft, to) : inventory(draft, to)
    end

    def inventory(draft, to)
      result = intake(table).take(draft, sheet_id: sheet(draft, "Inventory", "logical network"))
      Files.write_model(to, draft)
      tell(result)
    end

    def schema(draft, to)
      kept = Basalt::Data::Physical::Schema.new(Files.bytes(file)).into(draft, sheet_id: sheet(draft, "Schema", "tables"))
      Files.write_model(to, draft)
      kept.each { |one| err.puts "line #{one.line}: not modelled: #{one.text.lines.first.strip}" }
      err.puts "#{Basalt::English.count(draft.of_kind('table').length, 'table')} taken, #{Basalt::English.count(kept.length, 'statement')} not modelled"
      kept.any? ? 1 : 0
    rescue Basalt::Data::Physical::Schema::Unreadable => e
      raise Basalt::Mistake, "#{file}: #{e.message}"
    end

    def table
      Basalt::Formats::CSV.new(Files.bytes(file))
    rescue Basalt::Formats::CSV::Unreadable => e
      raise Basalt::Mistake, "#{file}: #{e.message}"
    end

    def intake(table)
      Basalt::Network::Inventory::Intake.new(table, Basalt::Network::Inventory::Columns.guess(table.headings))
    end

    def sheet(draft, name, notation)
      Basalt::Statements::Opening.of(Basalt::Statements::Context.new(draft), options[:sheet] || name, notation)
    end

    def tell(result)
      result.rejected.each { |row| err.puts "line #{row.line}: #{row.reason}" }
      result.remarks.each { |remark| err.puts remark }
      err.puts "#{Basalt::English.count(result.taken, 'row')} taken, #{result.rejected.length} rejected"
      result.rejected.any? ? 1 : 0
    end
  end
end
