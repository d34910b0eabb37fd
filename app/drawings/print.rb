# frozen_string_literal: true

require "combine_pdf"
require "open3"
require "tmpdir"

module Drawings
  # Turns SVG into a PDF of vectors and embedded typefaces, on one sheet of paper or several.
  module Print
    # What can be told of one page: the part of the drawing on it, and its words.
    Tile = Struct.new(:x, :y, :w, :h, :words)
    MOST = 200
    OVERLAP = 20

    module_function

    # @param svg [String] a document with a viewBox
    # @param mark [String] printed at the foot
    # @param about [Hash] +Title+, +Author+ and +Subject+, which the file carries (ISO 32000-1, 14.3.3)
    # @return [String] PDF
    # @raise [Basalt::Mistake] when it would be more than MOST pages
    def pdf(svg, paper, mark, about: {})
      x, y, w, h = svg[/viewBox="([^"]+)"/, 1].split.map(&:to_f)
      tiles = paper.tiles? ? tiles(x, y, w, h, paper) : [Tile.new(x, y, w, h, "")]
      raise Basalt::Mistake, "That would be #{tiles.length} sheets of paper; take a larger paper, or one sheet" if tiles.length > MOST

      told(write(tiles.map { |tile| page(svg, tile, paper, mark) }), about)
    end

    # Text of a PDF is UTF-16 where it is more than ASCII.
    def told(pdf, about)
      document = CombinePDF.parse(pdf)
      about.compact.each { |name, text| document.info[name.to_sym] = text.ascii_only? ? text : "\xFE\xFF".b + text.encode("UTF-16BE").b }
      document.to_pdf
    end

    def tiles(x, y, w, h, paper)
      across, down = [paper.inner_width, paper.inner_height].map { |mm| mm * Paper::PER_MM }
      columns = [((w - OVERLAP) / (across - OVERLAP)).ceil, 1].max
      rows = [((h - OVERLAP) / (down - OVERLAP)).ceil, 1].max
      return [Tile.new(x, y, across, down, "")] if rows * columns == 1

      rows.times.flat_map do |row|
        columns.times.map do |column|
          Tile.new(
            x + (column * (across - OVERLAP)),
            y + (row * (down - OVERLAP)),
            across,
            down,
            "row #{row + 1} of #{rows}, column #{column + 1} of #{columns}"
          )
        end
      end
    end

    # The drawing within a page of its own size, cut to the tile.
    def page(svg, tile, paper, mark)
      inner =
        svg
          .sub(/\A<\?xml[^>]*\?>\s*/, "")
          .sub(/<svg [^>]*>/) do |head|
            namespace = head[/xmlns="[^"]+"/]
            "<svg #{namespace} x=\"#{Paper::MARGIN}\" y=\"#{Paper::MARGIN}\" " \
              "width=\"#{paper.inner_width}\" height=\"#{paper.inner_height}\" " \
              "viewBox=\"#{[tile.x, tile.y, tile.w, tile.h].join(" ")}\" preserveAspectRatio=\"xMidYMid meet\" overflow=\"hidden\">"
          end
      foot = Basalt::Drawing::SVG.escape([mark, tile.words].reject(&:empty?).join(", "))
      <<~SVG
        <svg xmlns="http://www.w3.org/2000/svg" width="#{paper.width}mm" height="#{paper.height}mm" viewBox="0 0 #{paper.width} #{paper.height}">
        #{inner}
        <text x="#{Paper::MARGIN}" y="#{paper.height - Paper::MARGIN}" font-family="Archivo" font-size="3" fill="#1E2124">#{foot}</text>
        </svg>
      SVG
    end

    def write(pages)
      Dir.mktmpdir("basalt-print") do |folder|
        files =
          pages.each_with_index.map { |page, index| File.join(folder, format("%04d.svg", index)).tap { |file| File.write(file, page) } }
        _, message, status =
          Open3.capture3(
            { "FONTCONFIG_FILE" => Fonts::CONFIGURATION },
            "rsvg-convert",
            "--format=pdf",
            "--unlimited",
            "--output=#{File.join(folder, "out.pdf")}",
            *files
          )
        raise Basalt::Mistake, "The PDF could not be written: #{message.lines.first}" unless status.success?

        without_structure(File.binread(File.join(folder, "out.pdf")))
      end
    end

    # Where something leads elsewhere, cairo names an object of the document's structure that it does not write. Blanks take its
    # place, so that every other object stays where it is.
    def without_structure(pdf) = pdf.gsub(/(?<=obj\n\[)\s*(?:\d+ 0 R\s*)+(?=\]\s*endobj)/n) { |list| " " * list.length }
  end
end
