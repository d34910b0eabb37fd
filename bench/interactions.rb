# frozen_string_literal: true

require "rack/test"

# An interaction of five hundred messages with forty fragments: laid out, a message edited as the page does it; and scenarios counted.
class InteractionsBench
  MESSAGES = 500
  FRAGMENTS = 40
  EDITS = 40
  WARM = 15
  TIMES = 20
  ALTERNATIVES = 30

  # @yieldparam name [String]
  # @yieldparam size [Integer]
  # @yieldparam samples [Array<Float>] ms
  def initialize(&report)
    @report = report
  end

  def run
    edits
    set = made(text)
    sheet = set.sheet_list.first.id
    samples = Array.new(TIMES) { timed { Basalt::Software::Notation::SequenceGeometry.new(set, sheet).places } }
    @report.call("interaction: laid out", MESSAGES, *samples)
    set = made(alternatives)
    interaction = set.of_kind("interaction").first.id
    samples = Array.new(TIMES) { timed { Basalt::Software::Interactions::Scenarios.new(set, interaction).count } }
    @report.call("scenarios: counted", ALTERNATIVES, *samples)
  end

  private

  def edits
    project = Store::Project.open("Bench interaction")
    session = Store::ProjectSession.for(project.id)
    session.open do |open|
      open.act(said: "began", by: "bench") do |draft|
        Basalt::Statements::Document.new(text).into(draft)
        draft.sheet_list.each { |sheet| Basalt::Drawing::Arranger.new(draft, sheet.id).tidy }
      end
    end
    sheet, messages = session.open { |open| [open.set.sheet_list.first, open.set.of_kind("message")] }
    browser = Rack::Test::Session.new(Web::Application.with(secret: "0" * 64))
    path = "/projects/#{project.id}/sheets/#{sheet.id}"
    token = browser.get(path).body[/name="token" value="([^"]+)"/, 1]
    WARM.times { |n| edit(browser, path, token, messages[n], n) }
    samples = Array.new(EDITS) { |n| timed { edit(browser, path, token, messages[(n + WARM) * 7], n) } }
    @report.call("interaction: a message edited", MESSAGES, *samples)
  end

  def edit(browser, path, token, message, number)
    values = { fact: "name", value: "said #{number}", token:, selected: message.id }
    browser.post("#{path}/facts/#{message.id}", values, "HTTP_HX_REQUEST" => "true")
    abort(browser.last_response.body) unless browser.last_response.ok?
  end

  def made(text)
    draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new)
    Basalt::Statements::Document.new(text).into(draft)
    Basalt::Model::WorkingSet.new.advance(draft.effect)
  end

  def text
    each = MESSAGES / FRAGMENTS
    parts = (1..FRAGMENTS).flat_map do |n|
      ["either when it is #{n}", *calls(n, each / 2), "or when otherwise", *calls(n, each - (each / 2)), "end"]
    end
    ["project Talk", "sheet T: sequence", *(1..8).map { |n| "participant p#{n}" }, *parts].join("\n")
  end

  def calls(seed, count) =
    (1..count).map { |n| "p#{((seed + n) % 8) + 1} #{n.odd? ? "asks" : "tells"} p#{((seed + (n * 3)) % 8) + 1}: message #{n}" }

  def alternatives
    parts = (1..ALTERNATIVES).flat_map { |n| ["either when #{n}", "A tells B: #{n}", "or when otherwise", "B tells A: #{n}", "end"] }
    ["sheet S: sequence", *parts].join("\n")
  end

  def timed
    start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    yield
    (Process.clock_gettime(Process::CLOCK_MONOTONIC) - start) * 1000
  end
end
