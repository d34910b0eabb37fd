# frozen_string_literal: true

require "json"
require "net/http"

# Many people writing at once to one project of a server that runs: how many acts are answered a second, and how long each waits.
#
#     ruby bench/load.rb http://127.0.0.1:7373 [SECONDS]
class LoadBench
  WRITERS = 20

  def initialize(address, seconds)
    @uri = URI(address)
    @seconds = seconds
    @waits = Queue.new
    @failed = Queue.new
  end

  def run
    http = connection
    sheet, cookie, token = open_sheet(http)
    ends = now + @seconds
    Array.new(WRITERS) { |n| Thread.new { write(n, sheet, cookie, token, ends) } }.each(&:join)
    waits = Array.new(@waits.length) { @waits.pop }.sort
    puts format(
      "%d writers: %.0f acts a second, p50 %.0f ms, p95 %.0f ms, %d failed",
      WRITERS,
      waits.length / @seconds.to_f,
      waits[waits.length / 2] * 1000,
      waits[waits.length * 95 / 100] * 1000,
      @failed.length
    )
  end

  private

  def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  def connection = Net::HTTP.start(@uri.host, @uri.port, read_timeout: 60)

  def open_sheet(http)
    first = http.get("/projects")
    cookie = first["set-cookie"][/\A[^;]+/]
    project = first.body[%r{/projects/\h{8}-[\h-]{27}}]
    token = JSON.parse(http.get("/session", "Cookie" => cookie).body)["token"]
    answer = post(http, "#{project}/sheets", cookie, token:, name: "Load #{Process.pid}", notation: "logical network")
    [URI(answer["location"]).path, cookie, token]
  end

  def post(http, path, cookie, **values)
    request = Net::HTTP::Post.new(path, "Cookie" => cookie, "HX-Request" => values.key?(:statements) ? "true" : "false")
    request.set_form_data(values.transform_keys(&:to_s))
    http.request(request)
  end

  def write(writer, sheet, cookie, token, ends)
    http = connection
    made = 0
    while now < ends
      began = now
      answer = post(http, "#{sheet}/statements", cookie, token:, statements: "server w#{writer}-#{made += 1}")
      @waits << (now - began)
      @failed << answer.code unless answer.code == "200"
    end
  end
end

LoadBench.new(ARGV.fetch(0, "http://127.0.0.1:7373"), Integer(ARGV.fetch(1, "15"))).run if $PROGRAM_NAME == __FILE__
