# frozen_string_literal: true

require "rack/test"

# A source of many pages: opened, marked, and compared with a new version.
class SourceBench
  PAGES = 200
  # Lines of a page, and words of a line.
  LINES = 40
  WORDS = 12
  VOCABULARY = %w[
    caller
    report
    leak
    clerk
    book
    crew
    repair
    main
    valve
    street
    order
    sign
    notice
    water
    district
    reading
    alarm
    engineer
    priority
    hour
  ].freeze

  # @yieldparam name [String]
  # @yieldparam size [Integer]
  # @yieldparam samples [Array<Float>] ms
  def initialize(&report)
    @report = report
    @random = Random.new(11)
  end

  def run
    project = Store::Project.open("Bench source")
    @browser = Rack::Test::Session.new(Web::Application.with(secret: "0" * 64))
    base = "/projects/#{project.id}/sources"
    @token = @browser.get(base).body[/name="token" value="([^"]+)"/, 1]
    text = Array.new(PAGES * LINES) { Array.new(WORDS) { VOCABULARY.sample(random: @random) }.join(" ") }
    @browser.post(base, { token: @token, name: "Long", file: upload(text) })
    source = Store::Snapshot.read(project.id).of_kind("source").first
    measure("#{base}/#{source.id}", text)
  end

  private

  def upload(lines) = Rack::Test::UploadedFile.new(StringIO.new(lines.join("\n")), "text/plain", original_filename: "long.txt")

  def measure(path, text)
    @report.call("source: opened", PAGES, *Array.new(10) { timed { @browser.get(path) } })
    marks = Array.new(40) { |n| text[n * (text.length / 40)].split.first(4).join(" ") }
    @report.call(
      "source: a phrase marked",
      PAGES,
      *marks.map { |quote| timed { sent("#{path}/marks", quote:, as: "remark", note: "seen") } }
    )
    @report.call("source: opened with marks", PAGES, *Array.new(10) { timed { @browser.get(path) } })
    altered = text.each_with_index.map { |line, index| (index % 50).zero? ? "#{line} altered" : line }
    @report.call(
      "source: a new version compared",
      PAGES,
      timed { @browser.post("#{path}/versions", { token: @token, file: upload(altered) }) }
    )
  end

  def sent(path, **values)
    @browser.post(path, { token: @token, **values }, "HTTP_HX_REQUEST" => "true")
    abort @browser.last_response.body unless @browser.last_response.ok?
  end

  def timed
    start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    yield
    (Process.clock_gettime(Process::CLOCK_MONOTONIC) - start) * 1000
  end
end
