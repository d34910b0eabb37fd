# frozen_string_literal: true

module CommandLine
  # Draws a sheet of a file.
  class Draw < Command
    USAGE = "bin/basalt draw FILE.basalt [--sheet NAME] --to OUT.svg|OUT.png|OUT.jpg|OUT.pdf"
    SUMMARY = "Draws a sheet, tidied where it was never arranged; without --sheet the first. --all --to SET.pdf|SET.zip: all, with their " \
              "links."

    def describe(parser)
      super
      parser.on("--sheet NAME", "which sheet") { |name| options[:sheet] = name }
      parser.on("--all", "all sheets in one PDF, or in a zip of SVG files; links lead from one to another") { options[:all] = true }
      parser.on("--paper SIZE", "of a PDF: #{Drawings::Paper::SIZES.keys.join(", ")} (A3)") { |size| options[:size] = size }
      parser.on("--portrait", "a PDF upright") { options[:orientation] = "portrait" }
      parser.on(
        "--ground GROUND",
        Drawings::Export::GROUNDS.keys,
        "#{Drawings::Export::GROUNDS.keys.join(" or ")}; a PDF is on white where nothing is said"
      ) { |ground| options[:ground] = ground }
      parser.on("--tiles", "a PDF at true size, on as many sheets of paper as it takes") { options[:spread] = "tiles" }
      parser.on("--to FILE", "where to; the ending says which: svg, png, jpg, pdf") { |path| options[:to] = path }
    end

    private

    def act
      to = options[:to] or raise Basalt::Mistake, "Say where to: --to OUT.svg, OUT.png, OUT.jpg or OUT.pdf"
      type = File.extname(to).downcase.delete(".")
      return all(to, type) if options[:all]

      unless Drawings::Export::TYPES.key?(type)
        raise Basalt::Mistake, "A drawing is written as .svg, .png, .jpg or .pdf, not “#{File.extname(to)}”"
      end

      set = model
      sheet = sheet(set)
      ground = options[:ground] || Drawings::Export.usual_ground(type)
      svg = Drawings::Export.svg(settled(set), sheet.id, findings: Basalt::Checks::Runner.new(set).errors, ground:)
      paper = Drawings::Paper.new(**options.slice(:size, :orientation, :spread))
      Files.write(
        to,
        Drawings::Export.file(
          type,
          svg,
          paper:,
          mark: [sheet.number, sheet.name].join(", "),
          about: {
            Title: sheet.name,
            Subject: [set.project, sheet.notation_name].compact.join(", ")
          },
          ground:
        )
      )
      0
    end

    def all(to, type)
      raise Basalt::Mistake, "All sheets are written as .pdf or .zip, not “#{File.extname(to)}”" unless Drawings::SheetSet::TYPES.key?(type)

      set = model
      raise Basalt::Mistake, "#{file} has no sheet to draw" if set.sheet_list.empty?

      drawn = Drawings::SheetSet.new(
        settled(set),
        set.sheet_list,
        findings: Basalt::Checks::Runner.new(set).errors,
        ground: options[:ground] || "white"
      )
      paper = Drawings::Paper.new(**options.slice(:size, :orientation, :spread))
      Files.write(to, type == "pdf" ? drawn.pdf(paper:, about: { Title: set.project }.compact) : drawn.zip)
      0
    end

    # What is drawn of it is looked up more often than it is put there.
    def settled(set) = set.advance(arranged(set).effect)

    def sheet(set)
      sheets = set.sheet_list
      raise Basalt::Mistake, "#{file} has no sheet to draw" if sheets.empty?
      return first(sheets) unless options[:sheet]

      sheets.find { |sheet| sheet.name == options[:sheet] } or
        raise Basalt::Mistake, "#{file} has no sheet “#{options[:sheet]}”; it has #{sheets.map(&:name).join(", ")}"
    end

    def first(sheets)
      others = sheets.drop(1).map(&:name)
      err.puts "Drawing #{sheets.first.name}; --sheet would draw #{others.join(", ")}" if others.any?
      sheets.first
    end
  end
end
