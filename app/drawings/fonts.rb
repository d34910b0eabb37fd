# frozen_string_literal: true

require "base64"
require "ttfunk/subset"

module Drawings
  # The shipped typefaces as files, for the core's measures and for what is exported.
  module Fonts
    FOLDER = File.join(APPLICATION_ROOT, "app/public/fonts")
    CONFIGURATION = File.join(APPLICATION_ROOT, "config/fonts.conf")
    FILES = { plain: "Archivo_400Regular.ttf", strong: "Archivo_600SemiBold.ttf", mono: "SplineSansMono_400Regular.ttf" }.freeze
    FACES = { plain: ["Archivo", 400], strong: ["Archivo", 600], mono: ["Spline Sans Mono", 400] }.freeze

    module_function

    # @return [Hash{Symbol => String}] the files
    def bytes = FILES.transform_values { |file| File.binread(File.join(FOLDER, file)) }

    # @param characters [Enumerable<String>]
    # @return [String] font-face rules with the typefaces cut down to those characters
    def rules(characters)
      codes = characters.map(&:ord)
      FACES.map do |face, (family, weight)|
        data = Base64.strict_encode64(subset(face, codes))
        "@font-face{font-family:'#{family}';font-weight:#{weight};src:url(data:font/ttf;base64,#{data}) format('truetype')}"
      end.join("\n")
    end

    def subset(face, codes)
      font = Basalt::Drawing::Typefaces.font(face)
      known = codes.select { |code| font.cmap.unicode.first&.[](code).to_i.positive? }
      cut = TTFunk::Subset.for(font, :unicode)
      known.each { |code| cut.use(code) }
      cut.encode
    end
  end
end
