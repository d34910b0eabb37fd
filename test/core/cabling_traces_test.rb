# frozen_string_literal: true

require_relative "../support/core_helper"
require_relative "../support/generated_cabling"

# Schedules, traces through panels, ways through gateways, and what is cut off when something is lost.
class CablingTracesTest < Minitest::Test
  include CoreHelper

  Cabling = Basalt::Network::Cabling

  # A random run of panels with cables on some of their faces, in any direction.
  def panels(random)
    count = random.rand(1..7)
    lines = (1..count).map { |n| "patch panel p#{n}, ports 1-3" } + ["server a, ports e1-e3", "server b, ports e1-e3"]
    faces = (1..count).flat_map { |n| (1..3).flat_map { |port| ["p#{n} #{port}"] * 2 } } + %w[a b].flat_map { |name|
      (1..3).map { |n|
        "#{name} e#{n}"
      }
    }
    faces = faces.shuffle(random:)
    pairs = faces.each_slice(2).select { |pair| pair.length == 2 && pair[0].split[0] != pair[1].split[0] }
    (lines + pairs.uniq.first(random.rand(3..pairs.length.clamp(3, 30))).map { |pair| pair.join(" to ") }).join("\n")
  end

  # Walks port by port, with nothing but a list of pairs.
  def walked(cables, start)
    at = start
    passed = []
    loop do
      cable = cables.find { |one| !passed.include?(one) && one.include?(at) } or return [passed, at]
      passed << cable
      at = cable[0] == at ? cable[1] : cable[0]
      return [passed, at] unless at[0].start_with?("p")
    end
  end

  def test_a_trace_is_what_walking_from_port_to_port_comes_to
    80.times do |seed|
      set = model("project P\n#{panels(Random.new(seed))}")
      cables = set.of_kind("link").map { |link| link.ends.map { |one| [set.element(one.target_id).name, one.facts["port"]] } }
      %w[a b].product(%w[e1 e2 e3]) do |start|
        passed, at = walked(cables, start)
        trace = Cabling::Trace.from(set, set.named(start[0]).first.id, start[1]).first
        last = trace.steps.last
        assert_equal [passed.length, at], [trace.cables.length, [set.element(last.unit_id).name, last.label]],
                     "seed #{seed}, #{start.join(" ")}"
        assert_equal at[0].start_with?("p"), trace.ended == :bare, "seed #{seed}" if passed.any?
        back = Cabling::Trace.from(set, last.unit_id, last.label).find { |one| one.steps.last.unit_id == trace.steps.first.unit_id }
        assert_equal trace.cables.reverse, back.cables if trace.ended == :reached
      end
    end
  end

  def test_what_stops_a_trace_is_named
    text = <<~TEXT
      patch panel p, ports 1-4
      modem m
      server a
      server b
      a 1 to p 1
      a 2 to p
      a 3 to m
      m to b 9
      a 4 to b 4
      a 5 to p 2
      b 5 to p 2
      b 6 to p 2
      a 7 to p 3
      p 3 to a 7
    TEXT
    set = model("project P\n#{text}")
    a = set.named("a").first.id
    why = ->(port) { Cabling::Trace.from(set, a, port).map(&:why) }
    assert_equal ["nothing is plugged in at the other face of p 1"], why.("1")
    assert_equal ["the port at p is not decided"], why.("2")
    assert_equal ["b is reached"], why.("3")
    assert_equal ["b is reached"], why.("4")
    assert_equal ["it is not clear which cable goes on from p"], why.("5")
    assert_equal ["nothing is plugged in there"], why.("8")
  end

  # Every thing away in turn: what is cut off is what a walk over the rest does not reach.
  def test_what_is_cut_off_is_what_a_walk_does_not_reach
    30.times do |seed|
      lines = GeneratedCabling.new(seed, switches: 4, servers: 6).text.lines(chomp: true)
      lines << "internet" << "router edge-0001" << "edge-0001 to internet" << "edge-0001 to core-0001 1/24, copper" if seed.odd?
      lines.map! { |line| line.sub("MEMBER-PORT", "MEMBER/SLOT/PORT") }
      lines.select!.with_index { |line, index| !line.start_with?("uplink") || (index + seed) % 3 != 0 }
      set = model(lines.join("\n"))
      loss = Cabling::Loss.new(set)
      set.of_kind("device", "link").each do |lost|
        assert_equal walked_off(set, lost.id), loss.cut([lost.id]).to_set, "seed #{seed} without #{lost.name || lost.id}"
      end
    end
  end

  def reached(set, start, lost)
    found = Set.new
    waiting = [start]
    while (id = waiting.pop)
      next if id == lost || !found.add?(id)

      set.relations_of(id, "link").each { |link| waiting.concat(link.targets) unless link.id == lost }
    end
    found
  end

  def walked_off(set, lost)
    cabled = set.of_kind("link").flat_map(&:targets).uniq
    cabled
      .group_by { |id| reached(set, id, nil) }
      .each_value
      .flat_map do |part|
        outside = part.select { |id| set.element(id).kind == "outside" }
        pieces = (part - [lost]).map { |id| reached(set, id, lost) }.uniq
        kept = outside.any? ? pieces.select { |piece| piece.intersect?(outside.to_set) } : [pieces.max_by { |piece|
          weight(set, piece)
        }].compact
        part - [lost] - kept.flat_map(&:to_a)
      end
      .to_set
  end

  # Ends of stacks count by the member.
  def weight(set, piece)
    piece.sum do |id|
      members = set.relations_of(id, "link").flat_map { |link|
        link.ends.select { |one|
          one.target_id == id
        }
      }.map { |one| one.facts["port"].to_s[%r{\A(\d)/}, 1] }
      set.element(id)["members"] ? members.uniq.length : 1
    end
  end

  def test_a_member_that_is_lost_cuts_off_what_hangs_on_it_alone
    text = <<~TEXT
      project P
      internet
      switch core, 2 members, ports 1-9
      switch one
      switch two
      core 1/1 to internet
      core 2/1 to internet
      one to core 1/2
      two to core 1/3
      two to core 2/3
    TEXT
    set = model(text)
    loss = Cabling::Loss.new(set)
    core = set.named("core").first.id
    names = ->(ids) { ids.map { |id| set.element(id).name } }
    assert_equal ["one"], names.(loss.cut([core], member: 1))
    assert_empty loss.cut([core], member: 2)
    assert_equal %w[one two], names.(loss.cut([core]))
  end

  def test_ways_lead_through_gateways_and_what_stops_them_is_named
    text = <<~TEXT
      project P
      subnet A 10.20.1.0/24
      subnet B 10.20.2.0/24
      subnet C 10.20.3.0/24
      router r
      workstation w
      server a
      server b
      server c
      server d
      a on A at .5
      b on B at .5
      c on C at .5
      r on A at .1, gateway
      r on B at .1, gateway
      w on A at .9
      w on C at .9, gateway
    TEXT
    set = model(text)
    way = ->(from, to) { Basalt::Network::RouteTrace.new(set, *[from, to].map { |name| set.named(name).first.id }) }
    assert_equal(%w[a A r B b], [set.named("a").first.id, *way.("a", "b").ids.drop(1)].map { |id| set.element(id).name })
    assert_equal(%w[a A w], way.("a", "w").ids.map { |id| set.element(id).name })
    assert_equal "C has no gateway that forwards", way.("c", "a").stopped
    assert_equal "d stands on no subnet", way.("d", "a").stopped
    assert_match(/no gateway that a reaches leads to c/, way.("a", "c").stopped)
  end

  def test_the_schedule_tells_every_cable_once_and_a_unit_every_port
    20.times do |seed|
      set = model(GeneratedCabling.new(seed).text)
      schedule = Cabling::Schedule.new(set)
      rows = schedule.rows
      assert_equal set.of_kind("link").map(&:id).sort, rows.map { |row| row.cable.id }.sort
      assert_equal rows.length * 2, schedule.labels.length
      assert_equal(rows.length, schedule.purchases.cables.sum(&:count))
      core = set.named("core-0001").first.id
      pluggable = set.of_kind("link").flat_map(&:ends).count { |one| one.target_id == core && one.facts["port"].include?("up") }
      assert_equal(pluggable, schedule.purchases.modules.sum(&:count))
      told = rows.map { |row| schedule.cells(row).values_at(0, 1).join(" ") }
      assert_equal told.sort_by { |text| Cabling::NaturalOrder.key(text) }, told
      set.of_kind("device").each do |unit|
        lines = Cabling::PortList.new(set, unit).lines
        assert_equal Cabling::Ports.of(set, unit).count, lines.select(&:group).sum(&:count)
        assert_equal(Cabling::CableEnds.of(set, unit.id).length, lines.sum { |line| line.ends.length })
        assert_equal Cabling::FreePorts.new(set, unit).count, lines.select { |line| line.ends.empty? }.sum(&:count)
      end
    end
  end
end
