# frozen_string_literal: true

require "net/http"
require "open3"
require "socket"
require "tmpdir"

# For tests of the application as a person starts it, in a folder of its own.
module Started
  BASALT = File.join(APPLICATION_ROOT, "bin/basalt")
  PATIENCE = 120
  LOOK = 0.1

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

  # A browser's session: a page gives the token, acts go with it.
  def session
    answer = get_raw("/projects")
    @cookie = answer["set-cookie"][/\A[^;]+/]
    project = answer.body[%r{/projects/\h{8}-[\h-]{27}}]
    sheet = get_raw(project).body.scan(%r{#{project}/sheets/[\h-]{36}(?=")}).uniq
    @token = JSON.parse(get_raw("/session").body)["token"]
    [project, sheet]
  end

  def get_raw(path) = Net::HTTP.start("127.0.0.1", @port) { |http| http.get(path, { "Cookie" => @cookie }.compact) }

  def send_file(path, name, bytes)
    request = Net::HTTP::Post.new(path, "Cookie" => @cookie, "HX-Request" => "true")
    request.set_form([["token", @token], *([["file", StringIO.new(bytes), { filename: name }]] if bytes)], "multipart/form-data")
    Net::HTTP.start("127.0.0.1", @port, read_timeout: 60) { |http| http.request(request) }
  end

  def postmaster = File.readlines(File.join(@home, "postgres/data/postmaster.pid"), chomp: true).first.to_i

  # Between two looks the machine is left to what is looked at.
  def eventually(patience = PATIENCE)
    Timeout.timeout(patience) { IO.select(nil, nil, nil, LOOK) until yield }
  end
end
