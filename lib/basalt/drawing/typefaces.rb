# frozen_string_literal: true

module Basalt
  module Drawing
    # The shipped typefaces and their advance widths. The bytes are handed in, once, by
    # whoever starts the core.
    module Typefaces
      # What a character takes that the typeface lacks, in parts of the size: a full square for
      # the scripts of East Asia, somewhat more than a wide letter for the rest.
      WIDE = /[\p{Han}\p{Hiragana}\p{Katakana}\p{Hangul}\u3000-\u303F\uFF00-\uFF60\u{1F300}-\u{1FAFF}]/
      WIDE_ADVANCE = 1.0
      OTHER_ADVANCE = 0.68
      # Texts whose width is remembered, for each typeface.
      REMEMBERED = 20_000

      FAMILIES = {
        plain: "Archivo, 'DejaVu Sans', 'Droid Sans Fallback', sans-serif",
        strong: "Archivo, 'DejaVu Sans', 'Droid Sans Fallback', sans-serif",
        mono: "'Spline Sans Mono', 'DejaVu Sans Mono', 'Droid Sans Fallback', monospace"
      }.freeze

      class << self
        # @param bytes [Hash{Symbol => String}, #call] TTF files of +:plain+, +:strong+ and +:mono+, or what gives them when
        #   something is measured for the first time
        def use(bytes)
          @given = bytes
          @bytes = @fonts = nil
          @advances = FAMILIES.transform_values { {} }
          @widths = FAMILIES.transform_values { {} }
        end

        def bytes = @bytes ||= @given.respond_to?(:call) ? @given.call : @given

        def font(face) = (@fonts ||= bytes.transform_values { |data| TrueType.new(data) }).fetch(face)

        # @return [Float] width of the text in px
        def width(text, face, size)
          widths = @widths.fetch(face)
          widths.clear if widths.length > REMEMBERED
          (widths[text] ||= text.each_char.sum { |char| advance(char, face) }) * size
        end

        # @return [String] the text, cut with an ellipsis where it is wider than +limit+ px
        def fit(text, face, size, limit)
          return text if width(text, face, size) <= limit

          kept = text.chars
          kept.pop until kept.empty? || width("#{kept.join}…", face, size) <= limit
          "#{kept.join.rstrip}…"
        end

        private

        def advance(char, face)
          @advances.fetch(face)[char] ||= measure(char, font(face))
        end

        def measure(char, font)
          glyph = font.cmap.unicode.first&.[](char.ord).to_i
          return char.match?(WIDE) ? WIDE_ADVANCE : OTHER_ADVANCE if glyph.zero?

          font.horizontal_metrics.for(glyph).advance_width.to_f / font.header.units_per_em
        end
      end
    end
  end
end
