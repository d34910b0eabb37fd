# frozen_string_literal: true

module Basalt
  module Drawing
    # Colours, lines and type of the drawings.
    module Pens
      PAPER = "#F7F4EC"
      TABLE = "#DDD8CC"
      BASALT = "#1E2124"
      SLATE = "#33383D"
      PEBBLE = "#5F666D"
      HAIRLINE = "#CFC9BB"
      TIDE = "#12677A"
      LICHEN = "#5E7216"
      OCHRE = "#9A6414"
      RUST = "#A63D2F"
      AMETHYST = "#6B4E86"
      GRAPHITE = "#4A4E53"

      # Attributes of shapes.
      BASIC = {
        outline: {
          :fill => PAPER,
          :stroke => BASALT,
          "stroke-width" => 1.25
        },
        assumed: {
          :fill => PAPER,
          :stroke => BASALT,
          "stroke-width" => 1.25,
          "stroke-dasharray" => "2 3"
        },
        planned: {
          :fill => PAPER,
          :stroke => BASALT,
          "stroke-width" => 1.25,
          "stroke-dasharray" => "6 4"
        },
        boundary: {
          :fill => TABLE,
          "fill-opacity" => 0.3,
          :stroke => PEBBLE,
          "stroke-width" => 1.25
        },
        assumed_boundary: {
          :fill => TABLE,
          "fill-opacity" => 0.3,
          :stroke => PEBBLE,
          "stroke-width" => 1.25,
          "stroke-dasharray" => "2 3"
        },
        # Boundaries of a cloud, from the widest to the narrowest: the narrower, the denser is what they stand on.
        account: {
          :fill => "none",
          :stroke => BASALT,
          "stroke-width" => 2
        },
        region: {
          :fill => TABLE,
          "fill-opacity" => 0.2,
          :stroke => PEBBLE,
          "stroke-width" => 1.25,
          "stroke-dasharray" => "10 3"
        },
        zone: {
          :fill => "none",
          :stroke => PEBBLE,
          "stroke-width" => 1.25,
          "stroke-dasharray" => "3 3"
        },
        network: {
          :fill => TABLE,
          "fill-opacity" => 0.3,
          :stroke => BASALT,
          "stroke-width" => 1.25
        },
        subnet: {
          :fill => TABLE,
          "fill-opacity" => 0.45,
          :stroke => PEBBLE,
          "stroke-width" => 0.75
        },
        apart: {
          :fill => TABLE,
          "fill-opacity" => 0.3,
          :stroke => PEBBLE,
          "stroke-width" => 1,
          "stroke-dasharray" => "1 4"
        },
        divide: {
          :fill => "none",
          :stroke => BASALT,
          "stroke-width" => 2,
          "stroke-dasharray" => "16 4 3 4"
        },
        group: {
          :fill => "none",
          :stroke => PEBBLE,
          "stroke-width" => 1.25,
          "stroke-dasharray" => "8 3 1 3"
        },
        # A box that stands for less than an outlined one, and the line that such stand along.
        plain: {
          :fill => PAPER,
          :stroke => PEBBLE,
          "stroke-width" => 0.75
        },
        thread: {
          :fill => "none",
          :stroke => PEBBLE,
          "stroke-width" => 0.75,
          "stroke-dasharray" => "1 3"
        },
        # Beneath the head of whoever takes part in an interaction, and where that can be pointed at.
        lifeline: {
          :fill => "none",
          :stroke => PEBBLE,
          "stroke-width" => 1,
          "stroke-dasharray" => "6 4"
        },
        lifeline_grip: {
          :fill => "none",
          :stroke => BASALT,
          "stroke-opacity" => 0,
          "stroke-width" => 14
        },
        # The walls of a room, the front of a rack, and a tray: its edges, its bed and its rungs.
        wall: {
          :fill => "none",
          :stroke => BASALT,
          "stroke-width" => 3
        },
        front: {
          :fill => "none",
          :stroke => SLATE,
          "stroke-width" => 3
        },
        tray_edge: {
          :fill => "none",
          :stroke => PEBBLE,
          "stroke-opacity" => 0.6,
          "stroke-width" => 14
        },
        tray_bed: {
          :fill => "none",
          :stroke => PAPER,
          "stroke-opacity" => 0.75,
          "stroke-width" => 11.5
        },
        tray: {
          :fill => "none",
          :stroke => PEBBLE,
          "stroke-width" => 10,
          "stroke-dasharray" => "1 7"
        },
        # The steps at what opens into a sheet, and what they stand on.
        opens: {
          :fill => "none",
          :stroke => TIDE,
          "stroke-width" => 2
        },
        opens_ground: {
          :fill => PAPER,
          :stroke => "none"
        },
        rule: {
          :fill => "none",
          :stroke => BASALT,
          "stroke-width" => 1
        },
        # Beneath words.
        underline: {
          :fill => "none",
          :stroke => BASALT,
          "stroke-width" => 0.75
        },
        frame: {
          :fill => PAPER,
          :stroke => BASALT,
          "stroke-width" => 1.5
        },
        cell: {
          :fill => "none",
          :stroke => HAIRLINE,
          "stroke-width" => 1
        },
        line: {
          :fill => "none",
          :stroke => SLATE,
          "stroke-width" => 1.25
        },
        # A line passes over another by leaving a gap in it.
        passing: {
          :fill => "none",
          :stroke => PAPER,
          "stroke-width" => 6
        },
        planned_line: {
          :fill => "none",
          :stroke => SLATE,
          "stroke-width" => 1.25,
          "stroke-dasharray" => "6 4"
        },
        circuit: {
          :fill => "none",
          :stroke => SLATE,
          "stroke-width" => 2.25
        },
        fibre: {
          :fill => "none",
          :stroke => SLATE,
          "stroke-width" => 1.25,
          "stroke-dasharray" => "12 3"
        },
        radio: {
          :fill => "none",
          :stroke => SLATE,
          "stroke-width" => 1.5,
          "stroke-dasharray" => "1.5 4"
        },
        coax: {
          :fill => "none",
          :stroke => SLATE,
          "stroke-width" => 1.25,
          "stroke-dasharray" => "12 3 2 3"
        },
        multimode: {
          :fill => "none",
          :stroke => SLATE,
          "stroke-width" => 1.25,
          "stroke-dasharray" => "12 3 4 3"
        },
        single_mode: {
          :fill => "none",
          :stroke => SLATE,
          "stroke-width" => 1.25,
          "stroke-dasharray" => "24 4"
        },
        power: {
          :fill => "none",
          :stroke => OCHRE,
          "stroke-width" => 1.5,
          "stroke-dasharray" => "4 2"
        },
        # Across a line, where somebody else's side begins.
        border: {
          :fill => "none",
          :stroke => BASALT,
          "stroke-width" => 3
        },
        # A cable over which nothing is decided yet.
        open_line: {
          :fill => "none",
          :stroke => PEBBLE,
          "stroke-width" => 0.75
        },
        bus: {
          :fill => "none",
          :stroke => TIDE,
          "stroke-width" => 5
        },
        planned_bus: {
          :fill => "none",
          :stroke => TIDE,
          "stroke-width" => 5,
          "stroke-dasharray" => "14 6"
        },
        glyph: {
          :fill => "none",
          :stroke => BASALT,
          "stroke-width" => 1.5,
          "stroke-linecap" => "round",
          "stroke-linejoin" => "round"
        },
        # Where a row of a thing can be pointed at.
        row: {
          :fill => PAPER,
          "fill-opacity" => 0,
          :stroke => "none"
        },
        grip: {
          :fill => "none",
          :stroke => "#000000",
          "stroke-opacity" => 0,
          "stroke-width" => 12
        },
        hatch: {
          :fill => "none",
          :stroke => PEBBLE,
          "stroke-opacity" => 0.4,
          "stroke-width" => 0.75
        },
        emphasis: {
          :fill => "none",
          :stroke => PEBBLE,
          "stroke-width" => 0.75,
          "stroke-dasharray" => "1 3"
        },
        # A second outline within the first, and a line doubled.
        inner: {
          :fill => "none",
          :stroke => BASALT,
          "stroke-width" => 1.25
        },
        double: {
          :fill => "none",
          :stroke => SLATE,
          "stroke-width" => 5
        },
        between: {
          :fill => "none",
          :stroke => PAPER,
          "stroke-width" => 2.5
        },
        # The head of a table.
        bar: {
          :fill => SLATE,
          :stroke => SLATE,
          "stroke-width" => 1
        },
        halo: {
          fill: PAPER
        },
        # Numbers of steps; those of each journey on another ground.
        walk_a: { :fill => TIDE, :stroke => PAPER, "stroke-width" => 1 },
        walk_b: { :fill => RUST, :stroke => PAPER, "stroke-width" => 1 },
        walk_c: { :fill => AMETHYST, :stroke => PAPER, "stroke-width" => 1 },
        walk_d: { :fill => OCHRE, :stroke => PAPER, "stroke-width" => 1 },
        side_sign: { :fill => "#E9E4D8", :stroke => PEBBLE, "stroke-width" => 1 },
        walk_now: { :fill => "none", :stroke => BASALT, "stroke-width" => 2 },
        walk_lacking: { :fill => "none", :stroke => RUST, "stroke-width" => 1.5, "stroke-dasharray" => "3 4" }
      }.freeze

      # The same line of something fast.
      FAST = 2.5
      LINES =
        BASIC
          .merge(
            %i[line fibre radio coax multimode single_mode].to_h { |pen| [:"fast_#{pen}", BASIC[pen].merge("stroke-width" => FAST)] }
          )
          .freeze

      SEAMS = { slate: SLATE, ochre: OCHRE, rust: RUST, lichen: LICHEN, tide: TIDE, amethyst: AMETHYST, graphite: GRAPHITE }.freeze

      # Typeface, size in px and colour of texts.
      TEXTS = {
        name: [:strong, 13, BASALT],
        identifier: [:mono, 11, PEBBLE],
        type: [:mono, 12, PEBBLE],
        label: [:mono, 12, BASALT],
        wrong: [:mono, 12, RUST],
        subnet: [:strong, 13, TIDE],
        prefix: [:mono, 12, TIDE],
        title: [:strong, 14, BASALT],
        caption: [:plain, 10, PEBBLE],
        entry: [:mono, 12, BASALT],
        legend: [:plain, 11.5, BASALT],
        heading: [:strong, 11.5, BASALT],
        member: [:plain, 12, BASALT],
        verb: [:plain, 12, BASALT],
        walk: [:strong, 11, PAPER]
      }.freeze

      FAINT = ".faint{opacity:.28}"

      # @return [String] rules for the classes that the writer uses
      def self.stylesheet
        @stylesheet ||=
          (
            LINES.map { |pen, values| ".p-#{pen}{#{values.map { |name, value| "#{name}:#{value}" }.join(";")}}" } +
              TEXTS.map do |style, (face, size, colour)|
                ".x-#{style}{font:#{face == :strong ? 600 : 400} #{size}px #{Typefaces::FAMILIES[face]};fill:#{colour}}"
              end + [FAINT]
          ).join("\n").freeze
      end

      # @return [Float] width in px of a text of that style
      def self.width(text, style)
        face, size, = TEXTS.fetch(style)
        Typefaces.width(text, face, size)
      end

      # @param limit [Numeric] px
      # @param most [Integer] of lines; the last ends in a sign where there would be more
      # @return [Array<String>] the text broken between words
      def self.lines(text, style, limit, most: 3)
        broken =
          text
            .to_s
            .split
            .each_with_object([]) do |word, found|
              longer = found.empty? ? word : "#{found.last} #{word}"
              found.any? && width(longer, style) <= limit ? found[-1] = longer : found << word
            end
        broken = [*broken.first(most - 1), broken.drop(most - 1).join(" ")] if broken.length > most
        broken.map { |line| fit(line, style, limit) }
      end

      def self.fit(text, style, limit)
        face, size, = TEXTS.fetch(style)
        Typefaces.fit(text, face, size, limit)
      end
    end
  end
end
