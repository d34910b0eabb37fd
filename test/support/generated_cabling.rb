# frozen_string_literal: true

# Makes statements of a random but repeatable wiring in which nothing is wrong: a stack, switches with two ways up to it, and
# servers at these.
class GeneratedCabling
  def initialize(seed, switches: nil, servers: nil)
    @random = Random.new(seed)
    @switches = switches || @random.rand(1..6)
    @servers = servers || @random.rand(1..12)
  end

  def text = (head + switches + servers + uplinks + drops).join("\n")

  def head
    [
      "project Generated",
      "cabling numbering #{@random.rand(2).zero? ? "MEMBER/SLOT/PORT" : "MEMBER-PORT"}, host names a-9999",
      "sheet Wires: physical network",
      "switch core-0001, #{members} members, ports 1-24 copper 1G/10G, ports up01-up#{format("%02d", @switches + 2)} fibre 10G pluggable"
    ]
  end

  private

  def members = @members ||= @random.rand(2..4)
  def switch(number) = format("acc-%04d", number)
  def server(number) = format("host-%04d", number)

  def switches
    ["model access switch, ports 1-48 copper 1G, ports up1-up2 fibre 10G"] +
      (1..@switches).map { |n|
        "switch #{switch(n)}, #{n.odd? ? "ports 1-48 copper 1G, ports up1-up2 fibre 10G, inlets a-b" : "model access switch"}"
      }
  end

  def servers = (1..@servers).map { |n| "server #{server(n)}, ports eth0-eth1 copper 1G/10G" }

  def uplinks
    (1..@switches).map { |n|
      "uplink #{switch(n)} to core-0001 twice, #{%w[fibre multimode single-mode].sample(random: @random)} 10G, bundle po#{n}"
    }
  end

  def drops
    (1..@servers).map { |n| "#{server(n)} eth0 to #{switch((n % @switches) + 1)} #{n}, copper 1G, #{@random.rand(1..90)}m" }
  end
end
