# frozen_string_literal: true

require_relative "graphs"
require_relative "quality"

# Sheets typed statement by statement, the names first and then what joins them, compared with
# the same sheet tidied at the end; and how small the letters are when a sheet of the sample is opened.
class GrowthBench
  GENERATED = 20
  # px of the drawing on a page of 1280 by 800: alone, and with register and margin.
  ALONE = [1190, 646].freeze
  OPENED = [890, 500].freeze
  AROUND = 28
  MOST_SCALE = 1.25

  def run
    puts format(
      "\n%-30s %7s %12s %10s %6s %6s %8s %8s",
      "typed / tidied",
      "things",
      "crossings",
      "bends",
      "area",
      "paper",
      "through",
      "p95 ms"
    )
    sample = Graphs.model(File.read(File.join(__dir__, "../demo/tarnwater.basalt")))
    sample.sheet_list.each { |sheet| grow(sheet.name, sheet.notation_name, lines_of(sample, sheet)) }
    GENERATED.times { |seed| grow("generated #{seed}", "logical network", Graphs.text(8 + (seed * 2), seed).lines(chomp: true).drop(2)) }
    puts format("\n%-30s %7s %9s %9s", "least letter, px", "things", "alone", "register")
    sample.sheet_list.each { |sheet| letters(sample, sheet) }
  end

  private

  # All that has to be said of a sheet that stands alone; what contains things is said as well.
  def lines_of(set, sheet)
    unparser = Basalt::Statements::Unparser.new(set)
    around = set.things_on(sheet.id).flat_map { |thing| Basalt::Drawing::Nesting.new(set, sheet.id).ancestors(thing.id) }
    (
      around.uniq.reject { |id| set.shown?(sheet.id, id) }.flat_map { |id| unparser.tell(set.element(id)) } + unparser.sheet(sheet.id)
    ).uniq
  end

  def grow(name, notation, lines)
    set = Basalt::Model::WorkingSet.new
    set.advance(Basalt::Change::Draft.new(set).apply(Basalt::Change::AddSheet.new(name:, notation:)).effect)
    sheet = set.sheet_list.first
    times = []
    @spatial_index = Basalt::Drawing::SpatialIndex.new(set, sheet.id)
    2.times { lines = lines.reject { |line| take(set, sheet.id, line, times) } }
    typed = quality(set, sheet)
    draft = Basalt::Change::Draft.new(set)
    Basalt::Drawing::Arranger.new(draft, sheet.id).tidy
    row(name, set.things_on(sheet.id).length, typed, quality(draft, sheet), times.sort[(times.length * 0.95).floor].to_f * 1000)
  end

  # What needs something that stands elsewhere is left out.
  def take(set, sheet_id, line, times)
    draft = Basalt::Change::Draft.new(set)
    Basalt::Statements::Document.new(line).into(draft, sheet_id:)
    start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    Basalt::Drawing::Arranger.new(draft, sheet_id, spatial_index: @spatial_index).follow
    times << (Process.clock_gettime(Process::CLOCK_MONOTONIC) - start)
    set.advance(draft.effect)
    true
  rescue Basalt::Mistake
    false
  end

  def quality(set, sheet)
    boxes = set.placements_on(sheet.id).select(&:box).to_h { |placement| [placement.element_id, placement.box] }
    lines =
      sheet
        .notation
        .lines_on(set, sheet.id)
        .filter_map do |line|
          set.placement(sheet.id, line.id)&.route&.then { |route| [*line.endpoints.values_at(0, -1), route["points"]] }
        end
    Quality.new(boxes, lines)
  end

  def row(name, things, typed, tidied, p95)
    ratio = ->(figure) { typed.public_send(figure) / [tidied.public_send(figure), 1].max.to_f }
    puts format(
      "%-30s %7d %12s %10s %6.2f %6.2f %8d %8.0f",
      name[0, 30],
      things,
      "#{typed.crossings} / #{tidied.crossings}",
      "#{typed.bends} / #{tidied.bends}",
      ratio[:area],
      ratio[:paper],
      typed.through,
      p95
    )
    $stdout.flush
  end

  def letters(set, sheet)
    draft = Basalt::Change::Draft.new(set)
    Basalt::Drawing::Arranger.new(draft, sheet.id).tidy
    scene = Basalt::Drawing::Scene.new(draft, sheet.id)
    sizes =
      scene
        .items
        .select { |item| item.layer == :things }
        .flat_map { |item| texts(item.shapes) }
        .map { |style| Basalt::Drawing::Pens::TEXTS.fetch(style)[1] }
    found =
      [ALONE, OPENED].map do |width, height|
        sizes.min.to_f * [MOST_SCALE, width / (scene.extent.w + AROUND).to_f, height / (scene.extent.h + AROUND).to_f].min
      end
    puts format("%-30s %7d %9.1f %9.1f", sheet.name[0, 30], draft.things_on(sheet.id).length, *found)
  end

  def texts(shapes)
    shapes.flat_map { |shape| { text: [shape[4]], part: shape[0] == :part ? texts(shape[2]) : [] }.fetch(shape[0], []) }
  end
end
