# frozen_string_literal: true

require "open3"
require "json"
require_relative "graphs"
require_relative "quality"

# Tidying compared with another layered, orthogonal layout of the same graphs in the same run.
class LayoutBench
  SIZES = [50, 500, 2000, 5000].freeze
  SCRIPT = File.join(__dir__, "elk.mjs")

  def run
    unless system(
      "node",
      "--input-type=module",
      "-e",
      "await import('elkjs/lib/elk.bundled.js')",
      :chdir => File.dirname(__dir__),
      %i[out err] => File::NULL
    )
      return puts("The comparison of layouts is left out: npm install brings what it needs.")
    end

    puts format(
      "\n%-26s %8s %9s %9s %7s %17s %15s %21s %9s %15s %11s",
      "layout",
      "things",
      "ours ms",
      "other ms",
      "ratio",
      "crossings",
      "bends",
      "length",
      "through",
      "area, Mpx",
      "distortion"
    )
    @totals = Hash.new(0)
    graphs.each { |name, set, sheet| compare(name, set, sheet || set.sheet_list.first) }
    row("all", "", @totals)
  end

  private

  def graphs
    SIZES.flat_map { |size| [["generated", Graphs.model(Graphs.text(size, size))]] } +
      Graphs
        .model(File.read(File.join(__dir__, "../demo/tarnwater.basalt")))
        .then { |set| set.sheet_list.reject { |sheet| sheet.notation.ruled? }.map { |sheet| [sheet.name, set, sheet] } }
  end

  def compare(name, set, sheet)
    draft = Basalt::Change::Draft.new(set, ids: 0.then { |n| -> { "p#{n += 1}" } })
    Basalt::Drawing::Arranger.new(draft, sheet.id).tidy if set.things_on(sheet.id).length <= 500 # a warm start for both
    draft = Basalt::Change::Draft.new(set, ids: 0.then { |n| -> { "q#{n += 1}" } })
    start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    Basalt::Drawing::Arranger.new(draft, sheet.id).tidy
    ours = (Process.clock_gettime(Process::CLOCK_MONOTONIC) - start) * 1000
    lines = draft.relations_on(sheet.id).select { |line| draft.placement(sheet.id, line.id)&.route && line.targets.uniq.length > 1 }
    other = other(draft, sheet, lines)
    figures = { ours:, other: other["ms"] }.merge(counted(mine(draft, sheet, lines), theirs(other, lines)))
    figures.each { |key, value| @totals[key] += value }
    figures.merge!(shaped(mine(draft, sheet, lines), theirs(other, lines)))
    row(name, draft.things_on(sheet.id).length, figures)
  end

  def mine(draft, sheet, lines)
    boxes =
      draft
        .things_on(sheet.id)
        .reject { |thing| thing.kind == "subnet" }
        .to_h { |thing| [thing.id, draft.placement(sheet.id, thing.id).box] }
    Quality.new(boxes, lines.map { |line| [*line.targets.values_at(0, -1), draft.placement(sheet.id, line.id).route["points"]] })
  end

  def other(draft, sheet, lines)
    nodes = draft.things_on(sheet.id).map { |thing| draft.placement(sheet.id, thing.id).then { |placed| [thing.id, placed.w, placed.h] } }
    edges = lines.map { |line| [line.id, *line.targets.values_at(0, -1)] }
    out, status = Open3.capture2("node", SCRIPT, stdin_data: "#{JSON.generate({ nodes:, edges: })}\n")
    abort "the other layout failed" unless status.success?
    JSON.parse(out)
  end

  def theirs(other, lines)
    ends = lines.to_h { |line| [line.id, line.targets.values_at(0, -1)] }
    Quality.new(
      other["boxes"].to_h { |id, x, y, w, h| [id, Basalt::Layout::Box.new(x:, y:, w:, h:)] },
      other["routes"].map { |id, points| [*ends[id], points] }
    )
  end

  def counted(ours, theirs)
    %i[crossings bends length through].each_with_object({}) do |figure, found|
      found[:"#{figure}_ours"] = ours.public_send(figure)
      found[:"#{figure}_other"] = theirs.public_send(figure)
    end
  end

  # How large, and how far from the proportions of the paper.
  def shaped(ours, theirs)
    {
      area: [ours, theirs].map { |one| format("%.1f", one.area / 1e6) }.join(" / "),
      distortion: [ours, theirs].map { |one| format("%.1f", one.distortion) }.join(" / ")
    }
  end

  def row(name, things, figures)
    pairs = %i[crossings bends length through].map { |figure| "#{figures[:"#{figure}_ours"]} / #{figures[:"#{figure}_other"]}" }
    puts format(
      "%-26s %8s %9.0f %9.0f %7.2f %17s %15s %21s %9s %15s %11s",
      name[0, 26],
      things,
      figures[:ours],
      figures[:other],
      figures[:ours] / figures[:other],
      *pairs,
      figures[:area],
      figures[:distortion]
    )
    $stdout.flush
  end
end
