# frozen_string_literal: true

module CommandLine
  # Draws a sheet of a file.
  class Draw < Command
    USAGE = "bin/basalt draw FILE.basalt [--sheet NAME] --to OUT.svg|OUT.png"
    SUMMARY = "Draws a sheet, tidied where it was never arranged; without --sheet the first."

    def describe(parser)
      super
      parser.on("--sheet NAME", "which sheet") { |name| options[:sheet] = name }
      parser.on("--to FILE", "where to; the ending says whether SVG or PNG") { |path| options[:to] = path }
    end

    private

    def act
      to = options[:to] or raise Basalt::Mistake, "Say where to: --to OUT.svg or --to OUT.png"
      type = File.extname(to).downcase.delete(".")
      raise Basalt::Mistake, "A drawing is written as .svg or .png, not “#{File.extname(to)}”" unless %w[svg png].include?(type)

      set = model
      Files.write(to, Drawings::Export.public_send(type, arranged(set), sheet(set).id, findings: Basalt::Checks::Runner.new(set).findings))
      0
    end

    def sheet(set)
      sheets = set.sheet_list
      raise Basalt::Mistake, "#{file} has no sheet to draw" if sheets.empty?
      return first(sheets) unless options[:sheet]

      sheets.find { |sheet| sheet.name == options[:sheet] } or
        raise Basalt::Mistake, "#{file} has no sheet “#{options[:sheet]}”; it has #{sheets.map(&:name).join(', ')}"
    end

    def first(sheets)
      others = sheets.drop(1).map(&:name)
      err.puts "Drawing #{sheets.first.name}; --sheet would draw #{others.join(', ')}" if others.any?
      sheets.first
    end
  end
end
