# frozen_string_literal: true

# The application as the browser tests serve it: every act and its answer is noted, and a test can
# have the server fail, be slow, lose an answer, be away for a while, or come back as a new process.
class Served
  Act = Struct.new(:path, :status)
  PAGE = "0" * 64
  # Where the scripts of the page stand each by itself, for tests of one alone.
  SOURCES = "/sources/"

  def initialize
    @lock = Mutex.new
    renew
  end

  attr_reader :acts

  # @param secret [String] of the sessions; another one ends those that were there
  def renew(secret: PAGE)
    @app = Web::Application.with(secret:)
    @acts = []
    @faults = []
    @away_until = nil
  end

  # What happens to the next acts, one each: +:fails+, +:loses+ (done, and the answer is lost), +:slow+.
  def trouble(*faults) = @lock.synchronize { @faults.concat(faults) }

  # No connection for some seconds; then the server knows nothing of what it worked out before.
  def restart(seconds)
    @away_until = Process.clock_gettime(Process::CLOCK_MONOTONIC) + seconds
    Store::ProjectSession.clear
  end

  # @return [Array<Act>] acts that were refused or that failed on their own
  def bad = @acts.select { |act| act.status >= 400 }

  def call(env)
    return away(env) if @away_until && Process.clock_gettime(Process::CLOCK_MONOTONIC) < @away_until
    return source(env["PATH_INFO"]) if env["PATH_INFO"].start_with?(SOURCES)
    return @app.call(env) unless env["REQUEST_METHOD"] == "POST"

    act(env, @lock.synchronize { @faults.shift })
  end

  private

  def source(path) =
    [200, { "content-type" => "text/javascript" }, [File.read(File.join(APPLICATION_ROOT, "app/assets/js", File.basename(path)))]]

  def act(env, fault)
    return 500, {}, ["it fails"] if fault == :fails

    sleep 3 if fault == :slow
    answer = @app.call(env)
    @lock.synchronize { @acts << Act.new(env["PATH_INFO"], answer[0]) }
    fault == :loses ? [500, {}, ["the answer is lost"]] : answer
  end

  def away(env)
    env["rack.hijack"].call.close
    [-1, {}, []]
  end
end
