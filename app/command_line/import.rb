# frozen_string_literal: true

module CommandLine
  # Turns an inventory into statements.
  class Import < Command
    USAGE = "bin/basalt import THINGS.csv --to FILE.basalt [--sheet NAME]"
    SUMMARY = "Turns a CSV inventory into statements; exits with 1 when rows were rejected."

    def describe(parser)
      super
      parser.on("--to FILE", "where to; a file that is there already is added to (its comments are not kept)") { |path| options[:to] = path }
      parser.on("--sheet NAME", "the sheet to show the things on (Inventory)") { |name| options[:sheet] = name }
    end

    private

    def act
      to = options[:to] or raise Basalt::Mistake, "Say where to: --to FILE.basalt"
      table = table()
      draft = Basalt::Change::Draft.new(File.exist?(to) ? Files.model(to) : Basalt::Model::WorkingSet.new, ids: Files.counter.then { |c| -> { "i#{c.call}" } })
      result = intake(table).take(draft, sheet_id: sheet(draft))
      Files.write_model(to, draft)
      tell(result)
    end

    def table
      Basalt::Formats::CSV.new(Files.bytes(file))
    rescue Basalt::Formats::CSV::Unreadable => e
      raise Basalt::Mistake, "#{file}: #{e.message}"
    end

    def intake(table)
      Basalt::Network::Inventory::Intake.new(table, Basalt::Network::Inventory::Columns.guess(table.headings))
    end

    def sheet(draft)
      name = options[:sheet] || "Inventory"
      context = Basalt::Statements::Context.new(draft)
      Basalt::Statements::Opening.of(context, name, "logical network")
    end

    def tell(result)
      result.rejected.each { |row| err.puts "line #{row.line}: #{row.reason}" }
      result.remarks.each { |remark| err.puts remark }
      err.puts "#{Basalt::English.count(result.taken, 'row')} taken, #{result.rejected.length} rejected"
      result.rejected.any? ? 1 : 0
    end
  end
end
