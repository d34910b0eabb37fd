# frozen_string_literal: true

require_relative "../support/app_helper"
require_relative "../support/started"

# The start command, as a person starts and stops it: a cluster of its own, the sample, no
# servers left behind.
class StartTest < Minitest::Test
  include Started

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

  def zip_of(files)
    require "zip"
    Zip::OutputStream.write_buffer { |zip| files.each { |name, bytes| zip.put_next_entry(name) && zip.write(bytes) } }.string
  end

  # As a person runs it, without the gems of the tests.
  def test_images_symbols_and_proofs_work_in_what_is_served
    start
    _, sheets = session
    svg = "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 10 10\"><rect width=\"9\" height=\"9\"/></svg>"
    png = [
      "89504e470d0a1a0a0000000d49484452000000010000000108060000001f15c489" \
      "0000000d49444154789c6360606060000000050001a5f645400000000049454e44ae426082"
    ].pack("H*")
    assert_equal(
      %w[200 200 200],
      [["a.svg", svg, "images"], ["b.png", png, "images"], ["c.zip", zip_of("pump.svg" => svg), "symbols"]].map do |name, bytes, rest|
        send_file("#{sheets.first}/#{rest}", name, bytes).code
      end
    )
    tables = sheets.find { |sheet| get_raw(sheet).body.include?("Prove it on the server") }
    answer = send_file("#{tables}/proof", nil, nil)
    assert_equal "200", answer.code, answer.body
    assert_match(/Proved: the server took all/, told_at_last(answer).body)
  end

  # What takes longer is asked for again, as the page does.
  def told_at_last(answer)
    eventually { (later = answer.body[/hx-get="([^"]+)"/, 1]).nil? || (answer = get_raw(later)).nil? }
    answer
  end

  # What is left of a start that was broken off, of a power cut, of a disk that was full.
  def test_odd_leftovers_are_mended_and_nothing_of_others_is_stopped
    start("--empty")
    cluster = File.join(@home, "postgres")
    stop("TERM")
    with_another_cluster do |other|
      FileUtils.cp(File.join(other, "postmaster.pid"), File.join(cluster, "data"))
      File.chown(File.stat(File.join(cluster, "data")).uid, nil, File.join(cluster, "data/postmaster.pid")) if Process.uid.zero?
      %w[port password].each { |name| File.write(File.join(cluster, name), "") }
      File.write(File.join(@home, "session-secret"), "")
      foreign = Integer(File.readlines(File.join(other, "postmaster.pid")).first)
      start("--empty")
      assert_equal "200", get("/projects").code
      stop("TERM")
      assert Process.kill(0, foreign), "a server of somebody else was stopped"
    end
  end

  # A cluster that is not this one's.
  def with_another_cluster
    Dir.mktmpdir("basalt-other") do |folder|
      File.chmod(0o755, folder)
      home = CommandLine::Home.new(folder)
      home.use
      other = CommandLine::Cluster.new(home, throwaway: true)
      other.start
      yield File.join(folder, "postgres/data")
    ensure
      other&.stop
    end
  end

  def test_a_database_server_that_was_killed_is_started_again_and_pages_go_on
    start
    _, sheets = session
    Process.kill(:KILL, postmaster)
    # Whoever looks waits for a while; how long it takes is the machine's matter.
    eventually { get_raw(sheets.first).code == "200" }
    eventually { say(sheets.first, "server after-the-fall") == "200" }
    assert_includes get_raw(sheets.first).body, "after-the-fall"
  end

  def say(sheet, words)
    request = Net::HTTP::Post.new("#{sheet}/statements", "Cookie" => @cookie, "HX-Request" => "true")
    request.set_form_data("token" => @token, "statements" => words)
    Net::HTTP.start("127.0.0.1", @port) { |http| http.request(request) }.code
  end

  def test_a_folder_is_served_once
    start("--empty")
    other = TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }
    _, err, status = Open3.capture3(@environment.merge("PORT" => other.to_s), BASALT, "start")
    assert_equal 2, status.exitstatus
    assert_match(%r{serves #{Regexp.escape(@home)} already at http://127\.0\.0\.1:#{@port}/}, err)
    assert_equal "200", get("/projects").code
  end

  # The sample is brought in whole or not at all.
  def test_a_first_start_that_was_broken_off_leaves_no_half_of_the_sample
    @out = IO.popen([@environment, BASALT, "start", { err: %i[child out] }])
    @process = @out.pid
    eventually { File.exist?(File.join(@home, "postgres/data/postmaster.pid")) }
    stop("INT")
    start
    assert_includes get.body, "Greyholm plant network"
  end

  def test_it_starts_empty
    start("--empty")
    assert_includes get.body, "There is no project yet"
  end

  # As it is begun by whoever says nothing else: where that port is taken, it is that which is said to be in use.
  def test_it_takes_its_own_port_where_none_is_said
    own = CommandLine::Start::PORT
    held = (TCPServer.new("127.0.0.1", own) rescue nil)
    _, err, status = Open3.capture3(@environment.merge("PORT" => nil), BASALT, "start")
    assert_match(/Port #{own} is in use already/, err)
    refute_predicate status, :success?
  ensure
    held&.close
  end

  def test_what_cannot_work_is_said
    {
      { "PORT" => "many" } => /PORT is a number/,
      { "DATABASE_URL" => "postgresql://127.0.0.1:1/none" } => /database cannot be reached/
    }.each do |environment, message|
      _, err, status = Open3.capture3(@environment.merge(environment), BASALT, "start")
      assert_equal 2, status.exitstatus
      assert_match message, err
      refute_match(/\.rb:\d+/, err)
    end
  end
end
