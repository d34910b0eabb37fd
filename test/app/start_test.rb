# frozen_string_literal: true

require_relative "../support/app_helper"
require "net/http"
require "open3"
require "socket"
require "tmpdir"

# The start command, as a person starts and stops it: a cluster of its own, the sample, no
# servers left behind.
class StartTest < Minitest::Test
  BASALT = File.join(APPLICATION_ROOT, "bin/basalt")
  PATIENCE = 120

  def setup
    @home = Dir.mktmpdir("basalt-start")
    File.chmod(0o755, @home)
    @port = TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }
    @environment = { "BASALT_HOME" => @home, "PORT" => @port.to_s, "DATABASE_URL" => nil }
  end

  def teardown
    stop("TERM") if @process
    FileUtils.rm_rf(@home)
  end

  def start(*options)
    @out = IO.popen([@environment, BASALT, "start", *options, { err: %i[child out] }])
    @process = @out.pid
    # What has to be installed first is told before.
    line = Timeout.timeout(PATIENCE) { @out.find { |said| !said.start_with?("Installing") } }
    assert_match(%r{http://127\.0\.0\.1:#{@port}/}, line)
  end

  def stop(signal)
    Process.kill(signal, @process)
    Timeout.timeout(PATIENCE) { Process.wait(@process) }
  ensure
    @process = nil
  end

  def get(path = "/")
    response = Net::HTTP.get_response(URI("http://127.0.0.1:#{@port}#{path}"))
    response.is_a?(Net::HTTPRedirection) ? get(URI(response["location"]).path) : response
  end

  def refuse_connection?(port)
    TCPSocket.open("127.0.0.1", port).close
    false
  rescue Errno::ECONNREFUSED
    true
  end

  def test_it_starts_with_the_sample_stops_clean_and_keeps_what_is_there
    start
    assert_includes get.body, "Greyholm plant network"
    cluster = File.read(File.join(@home, "postgres/port")).to_i
    _, err, status = Open3.capture3(@environment, BASALT, "start")
    assert_equal 2, status.exitstatus
    assert_match(/Port #{@port} is in use already/, err)
    refute refuse_connection?(cluster), "the second start stopped the first one's cluster"
    stop("INT")
    assert refuse_connection?(@port)
    assert refuse_connection?(cluster)
    start("--empty")
    assert_includes get.body, "Greyholm plant network"
  end

  def test_it_starts_empty
    start("--empty")
    assert_includes get.body, "There is no project yet"
  end

  def test_what_cannot_work_is_said
    { { "PORT" => "many" } => /PORT is a number/, { "DATABASE_URL" => "postgresql://127.0.0.1:1/none" } => /database cannot be reached/ }.each do |environment, message|
      _, err, status = Open3.capture3(@environment.merge(environment), BASALT, "start")
      assert_equal 2, status.exitstatus
      assert_match message, err
      refute_match(/\.rb:\d+/, err)
    end
  end
end
