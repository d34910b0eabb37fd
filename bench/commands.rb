# frozen_string_literal: true

require "open3"
require "tmpdir"

# The commands on files, each as a process of its own: on a small one, on one of 20,000 lines, most of which attach something, and on
# one of as many about entities, all in one tree of relationships with names of their own.
class CommandsBench
  # What this process was begun with is not what a person begins the commands with.
  PLAIN = ENV.each_key.grep(/\A(RUBY|BUNDLE|GEM_|MALLOC)/).to_h { |name| [name, nil] }.freeze
  BASALT = File.expand_path("../bin/basalt", __dir__)
  NETS = 160
  HOSTS = 50
  # So many of them are on the network before theirs too.
  JOINED = 20
  ENTITIES = 6_666

  def initialize(&report)
    @report = report
  end

  def run
    Dir.mktmpdir("basalt-commands") do |folder|
      small = write(folder, "small", ["sheet S: logical network", "server a"])
      large = write(folder, "large", lines)
      @report.call("command: check, a small file", 2, *Array.new(3) { timed("check", small) })
      @report.call("command: check", lines.length, timed("check", large))
      @report.call("command: read", lines.length, timed("read", large))
      @report.call("command: draw", lines.length, timed("draw", large, "--to", File.join(folder, "large.svg")))
      entities = write(folder, "entities", model)
      @report.call("command: check, entities", model.length, timed("check", entities))
      @report.call("command: read, entities", model.length, timed("read", entities))
      @report.call("command: draw, entities", model.length, timed("draw", entities, "--to", File.join(folder, "entities.svg")))
    end
  end

  private

  def write(folder, name, lines) = File.join(folder, "#{name}.basalt").tap { |path| File.write(path, lines.join("\n")) }

  def timed(*command)
    began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    said, status = Open3.capture2e(PLAIN, BASALT, *command)
    # A finding is no failure.
    abort said unless status.exitstatus < 2
    (Process.clock_gettime(Process::CLOCK_MONOTONIC) - began) * 1000
  end

  def lines = @lines ||= ["sheet All: logical network", *Array.new(NETS) { |net| network(net) }.flatten]

  def model
    kinds = (0...ENTITIES).to_a
    ["sheet All: entities", *kinds.map { |kind| "entity Kind-#{kind}" }, *kinds.map { |kind| "Kind-#{kind} has code, size required" },
     *kinds.drop(1).map { |kind| related(kind, (kind - 1) / 3) }]
  end

  def related(kind, other)
    "a Kind-#{kind} \"does #{kind}\" exactly one Kind-#{other}; a Kind-#{other} \"is done #{kind}\" one or more Kind-#{kind}"
  end

  def network(net)
    hosts = (0...HOSTS).flat_map { |host| ["server host-#{net}-#{host}", "host-#{net}-#{host} on net-#{net} at .#{host + 10}"] }
    back = ((HOSTS - JOINED)...HOSTS).map { |host| "host-#{net}-#{host} on net-#{net - 1}" }
    gateway = ["router r-#{net}", "r-#{net} on net-#{net} at .1, gateway"]
    ["subnet net-#{net} 10.#{net / 250}.#{net % 250}.0/24", *gateway, *hosts, *(net.zero? ? [] : [*back, "r-#{net} to r-#{net - 1}"])]
  end
end
