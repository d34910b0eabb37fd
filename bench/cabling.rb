# frozen_string_literal: true

require "rack/test"

# A wiring of 2,000 units and 20,000 cables: what is found, the schedule, traces, an act; and thirty switches planned by one statement.
class CablingBench
  SWITCHES = 200
  HOSTS = 1800
  CABLES = 20_000
  EDITS = 60
  WARM = 8

  # @yieldparam name [String]
  # @yieldparam size [Integer]
  # @yieldparam samples [Array<Float>] ms
  def initialize(&report)
    @report = report
  end

  def run
    set = wired
    @report.call("cabling: all checks", CABLES, timed { Basalt::Checks::Runner.new(set).findings })
    @report.call("cabling: schedule", CABLES, timed { Basalt::Network::Cabling::Schedule.new(set).csv })
    ports = set.of_kind("link").first(200).map { |cable| cable.ends.first }
    @report.call("cabling: 200 traces", CABLES, timed {
      ports.each { |one|
        Basalt::Network::Cabling::Trace.from(set, one.target_id, one.facts["port"])
      }
    })
    @report.call("cabling: what is cut off", CABLES, timed { Basalt::Network::Cabling::Loss.new(set).cut([set.named("core").first.id]) })
    edits
    planned
  end

  private

  def text
    lines = ["project Wires", "sheet S: physical network", "model access, ports 1-200 copper 1G, ports up1-up4 fibre 10G"]
    lines << "switch core, 4 members, ports up1-up400 fibre 10G pluggable"
    lines += (1..SWITCHES).map { |n| "switch acc-#{n}, model access" }
    lines += (1..HOSTS).map { |n| "server h-#{n}, ports e1-e11 copper 1G" }
    lines += (1..SWITCHES).flat_map { |n| (1..2).map { |up| "acc-#{n} up#{up} to core #{up}/up#{n}, multimode 10G, bundle po#{n}" } }
    (0...(CABLES - (2 * SWITCHES))).each { |n|
      lines << "h-#{(n / 11) + 1} e#{(n % 11) + 1} to acc-#{(n / 98) + 1} #{(n % 98) + 1}, copper 1G, 20m"
    }
    lines.join("\n")
  end

  # The model alone: a sheet of so many is looked at in parts.
  def wired
    draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new)
    Basalt::Statements::Document.new(text.sub("sheet S: physical network\n", "")).into(draft)
    Basalt::Model::WorkingSet.new.advance(draft.effect)
  end

  def edits
    project = Store::Project.open("Bench wires")
    session = Store::ProjectSession.for(project.id)
    session.open do |open|
      open.act(said: "began", by: "bench") do |draft|
        Basalt::Statements::Document.new("#{text.sub("sheet S: physical network\n",
                                                     "")}\nsheet S: physical network\nserver first").into(draft)
      end
    end
    sheet = session.open { |open| open.set.sheet_list.first }
    browser = Rack::Test::Session.new(Web::Application.with(secret: "0" * 64))
    path = "/projects/#{project.id}/sheets/#{sheet.id}"
    token = browser.get(path).body[/name="token" value="([^"]+)"/, 1]
    say = ->(line) {
      browser.post("#{path}/statements", { statements: line, token: }, "HTTP_HX_REQUEST" => "true").ok? || abort(browser.last_response.body)
    }
    # What somebody has arranged does not arrange itself any more.
    first = session.open { |open| open.set.named("first").first.id }
    browser.post("#{path}/moves", { moves: JSON.generate([[first, 11, 7]]), token: }, "HTTP_HX_REQUEST" => "true")
    browser.get("#{path}/findings")
    # A served process has answered the like before.
    (1..WARM).each { |n| say.call("server w-#{n}, ports e1 copper, to acc-#{n + 100}") }
    browser.get("#{path}/findings")
    @report.call("cabling: a cable", CABLES, *Array.new(EDITS) { |n|
      timed {
        say.call("server x-#{n}, ports e1 copper, to acc-#{n + 1}")
      }
    })
    @report.call("cabling: findings after it", CABLES, timed { browser.get("#{path}/findings") })
  end

  def planned
    lines = ["project Plan", "sheet S: physical network", "switch core, 2 members, ports up1-up40 fibre 10G"]
    lines += (1..30).map { |n| format("switch acc-%02d, ports 1-48 copper 1G, ports up1-up2 fibre 10G", n) }
    draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new)
    Basalt::Statements::Document.new(lines.join("\n")).into(draft)
    sheet = draft.sheet_list.first.id
    samples =
      Array.new(5) do
        timed { Basalt::Statements::Document.new("uplink acc-01..acc-30 to core twice, fibre 10G").into(Basalt::Change::Draft.new(draft), sheet_id: sheet) }
      end
    @report.call("cabling: thirty switches planned", 30, *samples)
  end

  def timed
    start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    yield
    (Process.clock_gettime(Process::CLOCK_MONOTONIC) - start) * 1000
  end
end
