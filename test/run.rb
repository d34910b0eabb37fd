# frozen_string_literal: true

# Runs the tests of each storey in a process of its own, on a database that is made for them
# and thrown away; then the checks of style and safety.
require_relative "../config/load"
require "English"
require "tmpdir"

class TestRun
  STOREYS = { "core" => "test/core", "store" => "test/store", "application" => "test/app", "browser" => "test/browser" }.freeze

  def initialize(files)
    @files = files
    @failed = []
  end

  def run
    Dir.mktmpdir("basalt-test") do |folder|
      File.chmod(0o755, folder)
      with_database(folder) { storeys.each { |name, files| ruby(name, files) } }
    end
    care if @files.empty?
    puts @failed.empty? ? "\nAll of it passed." : "\nFailed: #{@failed.join(', ')}"
    @failed.empty?
  end

  private

  def storeys
    STOREYS.transform_values { |folder| Dir["#{folder}/**/*_test.rb"].select { |file| @files.empty? || @files.include?(file) } }.reject { |_, files| files.empty? }
  end

  def with_database(folder)
    return yield if ENV["DATABASE_URL"] || storeys.keys == ["core"]

    home = CommandLine::Home.new(folder)
    home.use
    cluster = CommandLine::Cluster.new(home, throwaway: true)
    begin
      cluster.start
      PG.connect(cluster.url).tap { |server| server.exec("CREATE DATABASE basalt_test") }.close
      ENV["DATABASE_URL"] = cluster.url("basalt_test")
      yield
    ensure
      cluster.stop
    end
  end

  def ruby(name, files)
    puts "\n== #{name}"
    fast = system("ruby --yjit -e 0", %i[out err] => File::NULL) ? ["--yjit"] : []
    step(name, "ruby", *fast, "-e", "ARGV.each { |file| require File.expand_path(file) }", *files)
  end

  def care
    puts "\n== style and safety"
    step("rubocop", "bundle", "exec", "rubocop", "--format", "quiet")
    step("brakeman", "bundle", "exec", "brakeman", "--force", "--quiet", "--no-pager", "--no-summary", "--except", "EOLRails", "--ignore-config", "config/brakeman.ignore", "--path", ".")
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
