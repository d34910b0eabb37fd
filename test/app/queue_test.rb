# frozen_string_literal: true

require_relative "../support/app_helper"
require_relative "../support/started"

# What takes long is worked in the queue of what is served: killed on the way it is taken up again, stopped it leaves nothing.
class QueueTest < Minitest::Test
  include Started

  ROWS = 1200

  def inventory
    (
      ["name,role,subnet,address,gateway,location,note"] +
        Array.new(ROWS) { |n| "thing-#{n},server,Net #{n / 100} 10.#{20 + (n / 100)}.0.0/16,10.#{20 + (n / 100)}.1.#{n % 100},,," }
    ).join("\n")
  end

  def bring
    @project = new_project
    answer = send_file("#{@project}/intakes", "things.csv", inventory)
    path = URI(answer["location"]).path
    columns = { name: 0, role: 1, subnet: 2, address: 3 }.to_h { |field, column| ["column_#{field}", column] }
    post("#{path}/take", sheet_name: "Things", **columns)
    path
  end

  def new_project
    @cookie = get_raw("/projects")["set-cookie"][/\A[^;]+/]
    @token = JSON.parse(get_raw("/session").body)["token"]
    URI(post("/projects", name: "Brought in")["location"]).path
  end

  def post(path, values)
    request = Net::HTTP::Post.new(path, "Cookie" => @cookie)
    request.set_form_data(values.merge(token: @token).transform_keys(&:to_s))
    Net::HTTP.start("127.0.0.1", @port, read_timeout: 60) { |http| http.request(request) }
  end

  def state(path) = get_raw("#{path}/progress").body
  def things = get_raw("#{@project}/search?q=thing-").body.scan(/>thing-\d+</).length
  def worker = Integer(`pgrep -P #{server} -f 'basalt work'`[/\d+/] || "0", 10).then { |pid| pid.positive? ? pid : nil }

  # The shell that began it has become the server.
  def server = @process

  def test_a_task_whose_worker_is_killed_is_taken_up_again_and_done_once
    start("--empty")
    path = bring
    eventually { state(path).match?(/value="[1-9]/) }
    assert_equal 0, things
    Process.kill(:KILL, worker)
    eventually { state(path).include?("#{ROWS} rows taken") }
    assert_operator things, :>, 0
    journal = get_raw("#{@project}/journal").body
    assert_equal 1, journal.scan("brought in things.csv").length
  end

  def test_a_task_goes_on_after_everything_was_killed
    start("--empty")
    path = bring
    eventually { state(path).match?(/value="[1-9]/) }
    held = worker
    Process.kill(:KILL, @process)
    Process.wait(@process)
    @process = nil
    eventually { !File.exist?("/proc/#{held}") }
    start("--empty")
    eventually { state(path).include?("#{ROWS} rows taken") }
    assert_operator things, :>, 0
  end

  def test_a_task_that_is_stopped_leaves_nothing
    start("--empty")
    path = bring
    eventually { state(path).match?(/value="[1-9]/) }
    post("#{path}/cancel", {})
    eventually { state(path).include?("It was stopped") }
    assert_equal 0, things
    refute_includes get_raw(@project).body, ">Things<"
  end

  def test_one_more_process_works_the_queue
    start("--empty")
    out = IO.popen([@environment, Started::BASALT, "work", { err: %i[child out] }])
    assert_match(/works the queue/, Timeout.timeout(Started::PATIENCE) { out.gets })
    path = bring
    eventually { state(path).include?("#{ROWS} rows taken") }
  ensure
    Process.kill(:INT, out.pid)
    Process.wait(out.pid)
  end
end
