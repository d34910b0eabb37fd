# frozen_string_literal: true

# Runs the tests of each storey in a process of its own, on a database that is made for them
# and thrown away; then the checks of style and safety.
require_relative "../config/load"
require "English"
require "open3"
require "tmpdir"

class TestRun
  # Storeys that run one after the other; the lanes run side by side, each on a database of its own.
  LANES = [{ "core" => "test/core", "application" => "test/app" }, { "browser" => "test/browser", "store" => "test/store" }].freeze

  def initialize(files)
    @files = files
    @failed = Queue.new
    @telling = Mutex.new
  end

  def run
    Dir.mktmpdir("basalt-test") do |folder|
      File.chmod(0o755, folder)
      with_databases(folder) do |urls|
        lanes.zip(urls).map { |lane, url| Thread.new { walk(lane, url) } }.each(&:join)
      end
    end
    failed = Array.new(@failed.length) { @failed.pop }
    puts failed.empty? ? "\nAll of it passed." : "\nFailed: #{failed.join(", ")}"
    failed.empty?
  end

  private

  # What looks at all files goes along in the lane that is through first.
  def walk(lane, url)
    lane.each { |name, files| ruby(name, files, url) }
    care if @files.empty? && @telling.synchronize { @through.nil? && @through = true }
  end

  def lanes
    @lanes ||=
      LANES
        .map do |lane|
          lane
            .transform_values { |folder| Dir["#{folder}/**/*_test.rb"].select { |file| @files.empty? || @files.include?(file) } }
            .reject { |_, files| files.empty? }
        end
        .reject(&:empty?)
  end

  def with_databases(folder)
    return yield [ENV.fetch("DATABASE_URL")] * lanes.length if ENV["DATABASE_URL"]
    return yield [nil] if lanes.map(&:keys) == [["core"]]

    home = CommandLine::Home.new(folder)
    home.use
    cluster = CommandLine::Cluster.new(home, throwaway: true)
    begin
      cluster.start
      yield(lanes.each_index.map { |n| database(cluster, "basalt_#{n}_test") })
    ensure
      cluster.stop
    end
  end

  def database(cluster, name)
    PG.connect(cluster.url).tap { |server| server.exec("CREATE DATABASE #{name}") }.close
    cluster.url(name)
  end

  # What a storey says is told when it is through, unless it is alone.
  def ruby(name, files, url)
    fast = system("ruby --yjit -e 0", %i[out err] => File::NULL) ? ["--yjit"] : []
    command = [{ "DATABASE_URL" => url }.compact, "ruby", *fast, "-e", "ARGV.each { |file| require File.expand_path(file) }", *files]
    return tell(name) { step(name, *command) } if lanes.one?

    said, child = Open3.capture2e(*command)
    tell(name) { print said }
    @failed << name unless child.success?
  end

  def tell(name)
    @telling.synchronize do
      puts "\n== #{name}"
      yield
      $stdout.flush
    end
  end

  def care = tell("style and safety") { look_after }

  def look_after
    step("rubocop", "bundle", "exec", "rubocop", "--format", "quiet")
    step(
      "brakeman",
      "bundle",
      "exec",
      "brakeman",
      "--force",
      "--quiet",
      "--no-pager",
      "--no-summary",
      "--except",
      "EOLRails",
      "--ignore-config",
      "config/brakeman.ignore",
      "--path",
      "."
    )
  end

  def step(name, *command)
    child = Process.spawn(*command)
    Process.wait(child)
    @failed << name unless $CHILD_STATUS.success?
  rescue SignalException
    Process.kill(:TERM, child) if child
    raise
  end
end

exit TestRun.new(ARGV).run if $PROGRAM_NAME == __FILE__
