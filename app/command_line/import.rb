# frozen_string_literal: true

module CommandLine
  # Turns a file that a family reads into statements.
  class Import < Command
    USAGE = "bin/basalt import FILE|DIR --to FILE.basalt [--sheet NAME]"
    SUMMARY = "Turns an inventory, a schema, source code, tags or XMI into statements; exits with 1 when something was not taken."
    # Lines about what was taken, and whether it was all.
    Told = Struct.new(:lines, :complete)

    def describe(parser)
      super
      parser.on("--to FILE", "where to; a file that is there already is added to (its comments are not kept)") do |path|
        options[:to] = path
      end
      parser.on("--sheet NAME", "the sheet to show the things on") { |name| options[:sheet] = name }
    end

    private

    def act
      to = options[:to] or raise Basalt::Mistake, "Say where to: --to FILE.basalt"
      draft =
        Basalt::Change::Draft.new(
          File.exist?(to) ? Files.model(to) : Basalt::Model::WorkingSet.new,
          ids: Files.counter.then { |c| -> { "i#{c.call}" } }
        )
      told = take(draft)
      Files.write_model(to, draft)
      told.lines.each { |line| err.puts line }
      told.complete ? 0 : 1
    rescue Basalt::Unreadable => e
      raise Basalt::Mistake, "#{file}: #{e.message}"
    end

    def take(draft)
      return importer.from_folder(draft, file, sheet_id: sheet(draft)) if File.directory?(file)

      named = importer.method(:into).parameters.include?(%i[key name]) ? { name: File.basename(file) } : {}
      importer.into(draft, Files.bytes(file, **limit(importer)), sheet_id: sheet(draft), **named)
    end

    # Some files may be larger than statements may.
    def limit(importer) = importer.respond_to?(:limit) ? { limit: importer.limit } : {}

    # @return [Module] the one that reads files of this ending, or what is in a folder
    def importer
      known = Web::Extensions.gather(:importers)
      return folder_importer(known) if File.directory?(file)

      fitting = known.select { |one| one.endings.include?(File.extname(file).downcase) }
      told = fitting.select { |one| one.respond_to?(:reads?) }
      told.find { |one| one.reads?(Files.bytes(file)) } || (fitting - told).first or
        raise Basalt::Mistake, "A file to bring in ends in #{known.flat_map(&:endings).join(", ")}, not “#{File.extname(file)}”"
    end

    def folder_importer(known)
      known.find { |one| one.respond_to?(:folder?) && one.folder?(file) } or
        raise Basalt::Mistake, "There is nothing in the folder #{file} that could be read"
    end

    def sheet(draft)
      name, notation = importer.sheet
      Basalt::Statements::OpenSheet.of(Basalt::Statements::Context.new(draft), options[:sheet] || name, notation)
    end
  end
end
