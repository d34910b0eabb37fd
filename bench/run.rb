# frozen_string_literal: true

require_relative "../config/load"
require_relative "../test/support/generated_network"
require_relative "../test/support/at_once"
require_relative "cabling"
require_relative "graphs"
require_relative "growth"
require_relative "large"
require_relative "layout"
require_relative "clouds"
require_relative "code"
require_relative "commands"
require_relative "interactions"
require_relative "linking"
require_relative "lists"
require_relative "memory"
require_relative "pages"
require_relative "racks"
require_relative "schema"
require_relative "shapes"
require_relative "sources"
require "rack/test"
require "tmpdir"

# Measures the journeys that people wait for, on sheets of several sizes.
class Bench
  SIZES = { 50 => [3, 14], 500 => [10, 47], 2000 => [12, 165] }.freeze
  # Sheets of links, one and a half for each thing.
  LINKED = [50, 500, 2000, 5000].freeze
  # What can be measured by its name alone.
  ALONE = {
    "lists" => ListsBench,
    "cabling" => CablingBench,
    "racks" => RacksBench,
    "code" => CodeBench,
    "commands" => CommandsBench,
    "interactions" => InteractionsBench,
    "clouds" => CloudsBench,
    "linking" => LinkingBench,
    "shapes" => ShapesBench,
    "layout" => LayoutBench
  }.freeze
  EDITS = 40
  ROWS = 5000

  def run
    Dir.mktmpdir("basalt-bench") do |folder|
      File.chmod(0o755, folder)
      home = CommandLine::Home.new(folder)
      home.use
      cluster = CommandLine::Cluster.new(home)
      url = @url = cluster.start
      Store::Database.connect(url)
      Store::Database.migrate
      measure
      MemoryBench.run(url) if ARGV.empty? || ARGV == ["memory"]
    ensure
      cluster&.stop
    end
  end

  private

  # Only what is named, where something is.
  def measure
    return if ARGV == ["memory"]
    return warm_up.then { sheets } if ARGV == ["edits"]
    return warm_up.then { LargeBench.new(@url, &plain).run } if ARGV == ["large"]
    return alone(ARGV.first) if ARGV.any?

    puts "Ruby #{RUBY_VERSION}#{" with YJIT" if defined?(RubyVM::YJIT) && RubyVM::YJIT.enabled?}; times in ms"
    puts format("%-34s %8s %8s %8s %8s", "", "things", "p50", "p95", "cpu p95")
    warm_up
    sheets
    inventory
    SchemaBench.new(&plain).run
    SourceBench.new(&plain).run
    ListsBench.new(&plain).run
    CablingBench.new(&plain).run
    RacksBench.new(&plain).run
    LinkingBench.new(&plain).run
    InteractionsBench.new(&plain).run
    CloudsBench.new(&plain).run
    CommandsBench.new(&plain).run
    ShapesBench.new(&plain).run
    LINKED.each { |size| linked(size) }
    GrowthBench.new.run
    LayoutBench.new.run
    LargeBench.new(@url, &plain).run
  end

  def alone(name)
    bench = ALONE[name] or abort("What can be measured alone: #{[*ALONE.keys, "edits", "large", "memory"].sort.join(", ")}")
    warm_up
    bench.new(&plain).run
  end

  def sheets = SIZES.each { |size, (subnets, hosts)| sheet(size, GeneratedNetwork.new(7, subnets:, things: hosts).text) }

  # The workbench: what people do with mouse and register, and what the browser shows of it.
  def linked(size)
    puts "\nlinked sheet of #{size} things" unless @quiet
    project = Store::Project.open("Linked #{size}")
    project_session = Store::ProjectSession.for(project.id)
    report(
      "tidy, with what is kept",
      size,
      times(1) { project_session.open { |open| open.act(said: "began", by: "bench") { |draft| load(draft, Graphs.text(size, size)) } } }
    )
    sheet = project_session.open { |open| open.set.sheet_list.first }
    gestures(project, sheet, size)
    Pages.new(project, sheet).measure { |name, samples| report(name, size, samples.map { |ms| [ms, 0.0] }) }
  end

  def gestures(project, sheet, size)
    post, = session("/projects/#{project.id}/sheets/#{sheet.id}")
    ids =
      Store::ProjectSession
        .for(project.id)
        .open { |open| open.set.things_on(sheet.id).map(&:id) }
        .shuffle(random: Random.new(1))
        .first(EDITS)
    report("move one thing", size, times(ids.length) { |n| post.call("moves", moves: JSON.generate([[ids[n], 11, 7]])) })
    report(
      "edit one cell",
      size,
      times(ids.length) { |n| post.call("cells", kind: "device", cells: JSON.generate([[ids[n], "note", "seen #{n}"]])) }
    )
    report(
      "paste 500 rows",
      size,
      times(3) do |n|
        post.call("cells", kind: "device", cells: JSON.generate(Array.new(500) { |row| ["new-#{row}", "name", "pasted-#{n}-#{row}"] }))
      end
    )
    3.times { post.call("undo", {}) }
    Store::ProjectSession.for(project.id).open { |open| report("route every line", size, times(1) { route_all(open.set, sheet) }) }
  end

  def route_all(set, sheet)
    draft = Basalt::Change::Draft.new(set)
    set
      .relations_on(sheet.id)
      .each do |line|
        if set.placement(sheet.id, line.id)
          draft.apply(Basalt::Change::Arrange.new(placement_id: set.placement(sheet.id, line.id).id, to: { route: nil }))
        end
      end
    Basalt::Drawing::Arranger.new(draft, sheet.id).follow
  end

  # A server that has served for a while has its code compiled.
  def warm_up
    @quiet = true
    2.times { |n| sheet(n, GeneratedNetwork.new(n, subnets: 3, things: 14).text) }
    @quiet = false
  end

  def sheet(size, text)
    project = Store::Project.open("Bench #{size}")
    project_session = Store::ProjectSession.for(project.id)
    project_session.open { |open| open.act(said: "began", by: "bench") { |draft| load(draft, text) } }
    sheet = project_session.open { |open| open.set.sheet_list.first }
    count = project_session.open { |open| open.set.things_on(sheet.id).length }
    core(project_session, sheet, count)
    edits(project, sheet, count)
  end

  def load(draft, text)
    Basalt::Statements::Document.new(text).into(draft)
    draft.sheet_list.each { |sheet| Basalt::Drawing::Arranger.new(draft, sheet.id).tidy }
  end

  def core(project_session, sheet, count)
    project_session.open do |open|
      report("tidy", count, times(5) { Basalt::Drawing::Arranger.new(Basalt::Change::Draft.new(open.set), sheet.id).tidy })
      report(
        "SVG of the whole sheet",
        count,
        times(5) { Basalt::Drawing::SVG.layers(Basalt::Drawing::Scene.new(open.set, sheet.id).items) }
      )
      report("all checks", count, times(5) { Basalt::Checks::Runner.new(open.set).findings })
      report("reading the project", count, times(3) { Store::Snapshot.read(open.project_id) })
    end
  end

  def edits(project, sheet, count)
    path = "/projects/#{project.id}/sheets/#{sheet.id}"
    post, browser = session(path)
    report("statement: a new thing", count, times(EDITS) { |n| post.call("statements", statements: "server bench-#{n}") })
    report(
      "statement: attached to a subnet",
      count,
      times(EDITS) { |n| post.call("statements", statements: "bench-#{n} on net-1 at .#{60 + n}") }
    )
    report(
      "statement: another address",
      count,
      times(EDITS) { |n| post.call("statements", statements: "bench-#{n} on net-1 at .#{140 + n}") }
    )
    ids = Store::ProjectSession.for(project.id).open { |open| EDITS.times.map { |n| open.set.named("bench-#{n}").first.id } }
    report("move a thing", count, times(EDITS) { |n| post.call("moves", moves: JSON.generate([[ids[n], 11, 7]])) })
    report(
      "findings after an edit",
      count,
      times(20, before: ->(n) { post.call("statements", statements: "server late-#{n}") }) { browser.get("#{path}/findings") }
    )
    report("undo", count, times(20) { post.call("undo", {}) })
  end

  # @return [Array(#call, Rack::Test::Session)] how to act on the sheet at the path
  def session(path)
    browser = Rack::Test::Session.new(Web::Application.with(secret: "0" * 64))
    browser.get(path)
    token = browser.last_response.body[/name="token" value="([^"]+)"/, 1]
    post = ->(rest, values) do
      browser
        .post("#{path}/#{rest}", values.merge(token:), "HTTP_HX_REQUEST" => "true")
        .then { abort browser.last_response.body unless browser.last_response.ok? }
    end
    [post, browser]
  end

  def inventory
    rows = Array.new(ROWS) { |n| "thing-#{n},server,Net #{n / 200} 10.#{20 + (n / 200)}.0.0/16,10.#{20 + (n / 200)}.1.#{n % 200},,," }
    content = (["name,role,subnet,address,gateway,location,note"] + rows).join("\n")
    project = Store::Project.open("Bench inventory")
    mapping = Basalt::Network::Inventory::Subjects::THINGS.guess(Basalt::Formats::CSV.new(content).headings)
    intake = Store::Intake.create!(id: SecureRandom.uuid, project_id: project.id, content:, file_name: "things.csv", mapping:)
    report(
      "CSV of #{ROWS} rows, whole",
      ROWS,
      times(1) { Store::Task.give(project.id, "inventory", { intake_id: intake.id, sheet_name: "Inventory" }, by: "bench") }
    )
    abort intake.task.result.inspect unless intake.task.state == "done"
  end

  # For samples of which only the time by the clock is known.
  def plain = ->(name, size, *samples) { report(name, size, samples.map { |ms| [ms, 0.0] }) }

  # @return [Array<Array(Float, Float)>] ms by the clock and ms of this process's own work
  def times(count, before: nil)
    Array.new(count) do |n|
      before&.call(n)
      start = clocks
      yield n
      clocks.zip(start).map { |now, was| (now - was) * 1000 }
    end
  end

  def clocks = [Process::CLOCK_MONOTONIC, Process::CLOCK_PROCESS_CPUTIME_ID].map { |clock| Process.clock_gettime(clock) }

  def report(name, things, samples)
    return if @quiet

    wall, work = samples.transpose.map(&:sort)
    late = (wall.length * 0.95).floor.clamp(0, wall.length - 1)
    puts format("%-34s %8d %8.1f %8.1f %8.1f", name, things, wall[wall.length / 2], wall[late], work[late])
    $stdout.flush
  end
end

Bench.new.run if $PROGRAM_NAME == __FILE__
