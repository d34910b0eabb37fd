# frozen_string_literal: true

require "rack/test"

# A row of forty racks with thirty things in each: drawn, and a thing moved in one.
class RacksBench
  RACKS = 40
  THINGS = 30
  EDITS = 40
  WARM = 5

  # @yieldparam name [String]
  # @yieldparam size [Integer]
  # @yieldparam samples [Array<Float>] ms
  def initialize(&report)
    @report = report
  end

  def run
    project = Store::Project.open("Bench racks")
    session = Store::ProjectSession.for(project.id)
    session.open do |open|
      open.act(said: "began", by: "bench") { |draft| Basalt::Statements::Document.new(text).into(draft) }
      sheet = open.set.sheet_list.first
      open.act(said: "laid out", by: "bench", sheet_id: sheet.id, tidy: true) { nil }
    end
    set, sheet = session.open { |open| [open.set, open.set.sheet_list.first] }
    @report.call("racks: drawn", RACKS * THINGS, *Array.new(5) { timed { Basalt::Drawing::Scene.new(set, sheet.id).items } })
    moves(project, sheet)
  end

  private

  def text
    lines = ["project Racks", "sheet S: rack"]
    lines += (1..RACKS).map { |n| "rack R#{n} 42U" }
    lines += (1..RACKS).to_a.product((1..THINGS).to_a).map { |rack, n| "server s-#{rack}-#{n} in R#{rack} at U#{n}, 1U" }
    lines.join("\n")
  end

  def moves(project, sheet)
    browser = Rack::Test::Session.new(Web::Application.with(secret: "0" * 64))
    path = "/projects/#{project.id}/sheets/#{sheet.id}"
    token = browser.get(path).body[/name="token" value="([^"]+)"/, 1]
    say = ->(line) {
      browser.post("#{path}/statements", { statements: line, token: }, "HTTP_HX_REQUEST" => "true").ok? || abort(browser.last_response.body)
    }
    WARM.times { |n| say.call("s-1-#{n + 1} in R1 at U#{40 - n}") }
    @report.call("racks: a thing moved", RACKS * THINGS, *Array.new(EDITS) { |n|
      timed {
        say.call("s-#{(n % 39) + 2}-7 in R#{(n % 39) + 2} at U#{41 - (n / 39)}")
      }
    })
  end

  def timed
    start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    yield
    (Process.clock_gettime(Process::CLOCK_MONOTONIC) - start) * 1000
  end
end
