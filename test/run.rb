# frozen_string_literal: true

# Runs the tests of each storey in a process of its own, on a database that is made for them
# and thrown away; then the checks of style and safety.
require_relative "../config/load"
require "English"
require "open3"
require "tmpdir"

class TestRun
  # The storeys, those first that take longest, and into how many shares each is parted. Three lanes run side by side, each on a
  # database of its own, and take the next share as soon as they are through with one. They are more than a machine's two cores,
  # since whoever types in a browser mostly waits.
  STOREYS = {
    "browser" => ["test/browser", 4],
    "application" => ["test/app", 3],
    "core" => ["test/core", 2],
    "store" => ["test/store", 2]
  }.freeze
  LANES = 3

  def initialize(files)
    @files = files
    @failed = Queue.new
    @telling = Mutex.new
  end

  def run
    @alone = shares.length == 1
    Dir.mktmpdir("basalt-test") do |folder|
      File.chmod(0o755, folder)
      with_databases(folder) do |urls|
        urls.map { |url| Thread.new { walk(url) } }.each(&:join)
      end
    end
    failed = Array.new(@failed.length) { @failed.pop }
    puts failed.empty? ? "\nAll of it passed." : "\nFailed: #{failed.join(", ")}"
    failed.empty?
  end

  private

  # What looks at all files comes last, beside the last share.
  def walk(url)
    while (share = @telling.synchronize { shares.shift })
      name, files = share
      files ? ruby(name, files, url) : care
    end
  end

  # @return [Array<Array(String, Array<String>)>] names and files; what looks at all files has none
  def shares
    @shares ||=
      STOREYS.flat_map { |name, (folder, count)| parted(name, chosen(folder), @files.empty? ? count : 1) } +
      (@files.empty? ? [["care", nil]] : [])
  end

  def chosen(folder) = Dir["#{folder}/**/*_test.rb"].select { |file| @files.empty? || @files.include?(file) }

  # The largest files first, each to the share that has least.
  def parted(name, files, count)
    parts = Array.new(count) { [] }
    sizes = Hash.new(0)
    files.sort_by { |file| [-File.size(file), file] }.each do |file|
      least = parts.each_index.min_by { |index| sizes[index] }
      parts[least] << file
      sizes[least] += File.size(file)
    end
    parts.reject(&:empty?).map.with_index(1) { |part, number| [count == 1 ? name : "#{name}, #{number} of #{count}", part] }
  end

  def with_databases(folder)
    return yield [ENV.fetch("DATABASE_URL")] * lanes if ENV["DATABASE_URL"]
    return yield [nil] if shares.map(&:first) == ["core"]

    home = CommandLine::Home.new(folder)
    home.use
    cluster = CommandLine::Cluster.new(home, throwaway: true)
    begin
      cluster.start
      yield(Array.new(lanes) { |n| database(cluster, "basalt_#{n}_test") })
    ensure
      cluster.stop
    end
  end

  def lanes = [LANES, shares.length].min

  def database(cluster, name)
    PG.connect(cluster.url).tap { |server| server.exec("CREATE DATABASE #{name}") }.close
    cluster.url(name)
  end

  # What a storey says is told when it is through, unless it is alone.
  def ruby(name, files, url)
    fast = ENV.fetch("RUBY_FLAGS", "").split
    command = [{ "DATABASE_URL" => url }.compact, "ruby", *fast, "-e", "ARGV.each { |file| require File.expand_path(file) }", *files]
    return tell(name) { step(name, *command) } if @alone

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
