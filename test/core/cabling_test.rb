# frozen_string_literal: true

require_relative "../support/core_helper"
require_relative "../support/generated_cabling"

# Ports by pattern, their numbering, what is proposed for cables, and what is found of them.
class CablingTest < Minitest::Test
  include CoreHelper

  Cabling = Basalt::Network::Cabling
  SEEDS = 60
  PREFIXES = ["", "up", "wan", "x-", "e1/", "p.", "0x"].freeze
  FITTING = %w[port-used-twice port-does-not-exist medium-does-not-fit speed-does-not-fit port-undecided].freeze

  def names(random)
    return [[*"a".."h"].sample(random:), [*"i".."p"].sample(random:)].join("-") if random.rand(5).zero?

    prefix = PREFIXES.sample(random:)
    from = random.rand(0..30)
    width = random.rand(3).zero? ? 3 : 0
    "#{prefix}#{from.to_s.rjust(width, "0")}-#{prefix}#{(from + random.rand(0..40)).to_s.rjust(width, "0")}"
  end

  def test_a_pattern_is_its_names_counted_found_and_written
    SEEDS.times do |seed|
      random = Random.new(seed)
      pattern = Cabling::PortNames.read(names(random))
      all = pattern.each.to_a
      assert_equal pattern, Cabling::PortNames.read(pattern.to_s), "seed #{seed}"
      assert_equal all.length, pattern.count
      assert_equal all, all.uniq
      all.each_with_index { |name, index| assert_equal [index, name], [pattern.index(name), pattern.at(index)] }
      [*("a".."p"), *(0..90).flat_map { |n| PREFIXES.map { |prefix| "#{prefix}#{n}" } }, ""].each do |name|
        assert_equal all.include?(name), pattern.include?(name), "#{pattern}: #{name}"
      end
      other = Cabling::PortNames.read(names(random))
      both = all & other.each.to_a
      assert_equal [both.first, both.last].compact, pattern.overlap(other).to_a, "#{pattern} and #{other}"
    end
  end

  def test_what_makes_no_ports_is_refused
    {
      "1-1000000" => /1000000 ports; a pattern makes at most 10000/,
      "9-1" => /counts backwards/,
      "1-99999999999" => /counts too far/
    }.each { |text, message| assert_match message, assert_raises(Mistake) { Cabling::PortNames.read(text) }.message }
    {
      "1-24; 20-30" => /ports 20 to 24 would be there twice/,
      "1-24 copper; outlets 3" => /port 3 would be there twice/,
      "1-4 wood" => /“wood” says nothing about ports 1-4/,
      "1-4 slot x" => /a slot is a number/,
      "outlets" => /say which ports/
    }.each { |text, message| assert_match message, assert_raises(Mistake) { Cabling::PortGroups.read(text) }.message }
  end

  def test_a_label_says_what_it_was_made_of
    patterns = ["MEMBER/SLOT/PORT", "PORT", "MEMBER-PORT", "x-SLOT.PORT@MEMBER", "PORT:MEMBER:SLOT", "gMEMBER/PORT"]
    patterns.product([nil, 2], [nil, 7], %w[1 up3 a x-4]) do |pattern, member, slot, name|
      numbering = Cabling::Numbering.new(Cabling::Numbering.checked(pattern))
      label = numbering.label(name, member:, slot:)
      read = numbering.read(label, member: !member.nil?, slot: !slot.nil?)
      told = [name, (member if numbering.has?("MEMBER")), (slot if numbering.has?("SLOT"))]
      assert_equal told, read, "#{pattern}: #{label}"
    end
    ["MEMBER", "PORTPORT", "PORT/PORT", "MEMBERPORT", "MEMBER PORT", ""].each do |pattern|
      assert_raises(Mistake) { Cabling::Numbering.checked(pattern) }
    end
  end

  def test_ports_of_a_unit_are_those_that_are_found
    SEEDS.times do |seed|
      random = Random.new(seed)
      unit = say(model("project P"), nil,
                 "switch s, #{random.rand(1..4)} members, ports #{names(random)} copper 1G, ports q1-q3 slot 2 fibre")
      ports = Cabling::Ports.of(unit, unit.named("s").first)
      labels = ports.each.map(&:label)
      assert_equal [ports.count, labels], [labels.length, labels.uniq], "seed #{seed}"
      ports.each { |port| assert_equal port, ports.find(port.label) }
      assert_nil ports.find("9/9/q1")
    rescue Basalt::Statements::Misread => e
      assert_match(/twice/, e.message)
    end
  end

  # A unit with thousands of ports is one element, and the first and last are found in it.
  def test_many_ports_are_no_elements
    set = model("switch s, 4 members, ports 1-9999 copper 1G")
    assert_equal 1, set.elements.size
    ports = Cabling::Ports.of(set, set.named("s").first)
    assert_equal [39_996, "1/1", "4/9999"], [ports.count, ports.each.first.label, ports.find("4/9999").label]
  end

  def test_what_is_proposed_is_free_and_fits
    SEEDS.times do |seed|
      set = model(GeneratedCabling.new(seed).text)
      assert_empty ids_of(set) - %w[single-way-out], "seed #{seed}"
      draft = Change::Draft.new(set)
      random = Random.new(seed)
      8.times do
        one, other = set.of_kind("device").sample(2, random:)
        pair = Cabling::NextFree.new(draft, medium: [nil, nil, "copper", "fibre"].sample(random:)).pair(one, other) or next
        ends = [["one", one.id, { "port" => pair.one.label }], ["other", other.id, { "port" => pair.other.label }]]
        Change::Add.new(kind: "link", facts: { "medium" => pair.medium, "speed" => pair.speed }.compact, ends:).apply(draft)
      end
      assert_empty Checks::Runner.new(draft).findings.map(&:id) & FITTING, "seed #{seed}"
    end
  end

  def test_nothing_is_proposed_where_nothing_is_free
    set = model("server a, ports eth0 copper\nserver b, ports eth0 copper\nserver c, ports eth0 coax\na eth0 to b eth0")
    a, b, c = %w[a b c].map { |name| set.named(name).first }
    [[a, b], [a, c], [b, c]].each { |one, other| assert_nil Cabling::NextFree.new(set).pair(one, other) }
    error = assert_raises(Basalt::Statements::Misread) { say(set, nil, "uplink c to a") }
    assert_match(/there are no free ports between a and c; nothing was cabled/, error.message)
  end

  def test_uplinks_are_spread_over_members_at_the_same_number
    20.times do |seed|
      set = model(GeneratedCabling.new(seed).text)
      core = set.named("core-0001").first
      ports = Cabling::Ports.of(set, core)
      set.of_kind("device").select { |unit| unit.name.start_with?("acc") }.each do |unit|
        far = Cabling::CableEnds.of(set, unit.id).map(&:others).flatten.select { |one| one.target_id == core.id }.map { |one| ports.find(one.facts["port"]) }
        assert_equal [2, 2, 1], [far.length, far.map(&:member).uniq.length, far.map(&:name).uniq.length], "seed #{seed}, #{unit.name}"
      end
      again = say(set, "Wires", "uplink acc-0001 to core-0001 twice")
      assert_empty again.effect.on(:elements)
    end
  end

  def test_a_stack_that_grows_and_shrinks_keeps_its_cables
    20.times do |seed|
      set = model(GeneratedCabling.new(seed).text)
      members = set.named("core-0001").first["members"]
      grown = say(set, "Wires", "switch core-0001, #{members + 3} members")
      assert_empty Checks::Runner.new(grown).findings.map(&:id) & FITTING
      back = say(grown, "Wires", "switch core-0001, #{members} members")
      assert_equal facts(set), facts(back)
      other = say(set, "Wires", "cabling numbering PORT.MEMBER")
      assert_empty Checks::Runner.new(other).findings.map(&:id) & FITTING
      assert_equal reading(set), reading(say(other, "Wires", "cabling numbering #{set.of_kind("cabling").first["numbering"]}"))
      error = assert_raises(Mistake) { say(set, "Wires", "switch core-0001, 1 member") }
      assert_match(/core-0001 would lose \d+ cables?, from .* to acc-0001.*: take (it|them) off first/, error.message)
    end
  end

  def test_a_stack_in_the_reading_is_altered_with_its_cables
    text = GeneratedCabling.new(3, switches: 2).text
    set = model(text)
    sheet = set.sheet_list.first
    before = Statements::Unparser.new(set).sheet(sheet.id)
    draft = Change::Draft.new(set, ids: -> { SecureRandom.uuid })
    after = before.map { |line| line.sub(/core-0001, \d members/, "core-0001, 5 members") }
    Statements::ReadingPatch.new(set, sheet.id, before, after).into(draft)
    assert_equal after, Statements::Unparser.new(draft).sheet(sheet.id)
  end

  def test_swapping_twice_and_shifting_there_and_back_changes_nothing
    30.times do |seed|
      set = model(GeneratedCabling.new(seed).text)
      random = Random.new(seed)
      ends = set.of_kind("device").flat_map { |unit| Cabling::CableEnds.of(set, unit.id) }.sample(2, random:)
      one, other = ends.map { |one| "#{set.element(one.unit_id).name} #{one.label}" }
      swapped = say(set, "Wires", "swap #{one} and #{other}")
      assert_equal(ends.map(&:cable).map(&:id), ends.reverse.map { |place|
        Cabling::CableEnds.of(swapped, place.unit_id).find { |found| found.label == place.label }.cable.id
      }) unless ends.map(&:cable).uniq(&:id).one?
      assert_equal facts(set), facts(say(swapped, "Wires", "swap #{one} and #{other}")), "seed #{seed}"
      shifted = say(set, "Wires", "shift acc-0001 1-40 by 3")
      refute_includes Checks::Runner.new(shifted).findings.map(&:id), "port-does-not-exist"
      assert_equal facts(set), facts(say(shifted, "Wires", "shift acc-0001 4-43 by -3")), "seed #{seed}"
    rescue Basalt::Mistake => e
      assert_match(/nothing is plugged in at 1 to 40/, e.message)
    end
  end

  def test_what_cannot_be_renumbered_is_refused_and_nothing_is_moved
    set = model("switch s, ports 1-4\nserver a\nserver b\na 1 to s 1\nb 1 to s 3")
    {
      "shift s 1-2 by 2" => /s 3 is taken by a cable that is not shifted along/,
      "shift s 3-4 by 2" => /s has no port behind 3 to shift to/,
      "shift s 1 by -1" => /s has no port before 1 to shift to/,
      "shift s 4-9 by 1" => /“4-9” is no run of ports of s/,
      "shift s 2 by 1" => /nothing is plugged in at 2 to 2/,
      "swap s 9 and s 1" => /s has no port 9/,
      "swap s 2 and s 4" => /nothing is plugged in at either/
    }.each { |line, message| assert_match message, assert_raises(Mistake) { say(set, nil, line) }.message }
  end

  def test_units_have_the_ports_of_their_model_and_of_their_cards
    text = <<~TEXT
      project P
      model core, 2 members, ports up1-up4 fibre 10G
      model line card, ports 1-48 copper 1G
      sheet S: physical network
      switch c, model core, slot 2 holds line card, slot 3 holds line card
      server a
      a 1 to c 2/3/7
      a 2 to c 2/up4
    TEXT
    set = model(text)
    ports = Cabling::Ports.of(set, set.named("c").first)
    assert_equal [200, "1/up1", 3], [ports.count, ports.each.first.label, ports.find("2/3/7").slot]
    assert_empty ids_of(set) & FITTING
    assert_equal facts(set), facts(model(reading(set)))
    below = say(set, "S", "switch low, ports 1-4 fibre", "low 1 to c 1/up1", "low 2 to c 1/up2")
    assert_includes Checks::Runner.new(below).findings.map(&:message), "All ways up of low end in member 1 of c"
    cut = Cabling::Loss.new(below).cut([set.named("c").first.id], member: 1)
    assert_equal(["low"], cut.map { |id| below.element(id).name })
    error = assert_raises(Mistake) { say(set, "S", "model core, 1 member") }
    assert_match(/c would lose 2 cables, from 2\/3\/7 to a and 2\/up4 to a: take them off first/, error.message)
    assert_includes Checks::Runner.new(say(set, "S", "switch c, slot 3 holds core")).findings.map(&:id), "port-does-not-exist"
    twice = ["switch c, ports up2 copper", "switch c, ports 4 slot 2 copper"]
    twice.each { |line| assert_match(/would be there twice/, assert_raises(Mistake) { say(set, "S", line) }.message) }
  end

  VLANS = <<~TEXT
    project P
    sheet S: physical network
    subnet Plant 10.20.4.0/24, vlan 40
    subnet Lab 10.20.6.0/24, vlan 60
    switch s1, ports 1-8
    switch s2, ports 1-8
    server a
    server b
    server c
    s1 8 to s2 8
    a 1 to s1 1
    b 1 to s2 1
    c 1 to s2 2
    a on Plant at .1, gateway
    b on Plant at .2
    c on Lab at .2, gateway
  TEXT

  def test_cables_carry_the_vlans_of_the_subnets_or_it_is_found
    set = model(VLANS)
    told = ->(draft) { Checks::Runner.new(draft).findings.select { |one| one.id == "logical-disagrees" }.map(&:message).sort }
    assert_empty told.(set)
    assert_empty told.(say(set, "S", "s1 8 carries tagged 40, 60", "s2 8 carries vlan 40 tagged 60"))
    assert_equal ["b does not reach a on Plant by cables"], told.(say(set, "S", "s2 8 carries vlan 1 tagged 60"))
    assert_equal ["c is plugged into VLAN 40 and does not stand on Plant"], told.(say(set, "S", "s2 2 carries vlan 40"))
    assert_empty told.(say(set, "S", "c on Plant at .3", "s2 2 carries vlan 40 tagged 60"))
    assert_equal ["b does not reach a on Plant by cables"], told.(model(VLANS.sub("s1 8 to s2 8\n", "")))
    draft = say(set, "S", "s2 8 carries vlan 40 tagged 60, 50, 60")
    assert_equal facts(draft), facts(model(reading(draft)))
    assert_includes reading(draft), "s2 8 carries vlan 40 tagged 50, 60"
    {
      "s2 7 carries vlan 4" => /nothing is plugged in at s2 7: say the cable first/,
      "s2 8 carries vlan 4095" => /a VLAN is a number from 1 to 4094/,
      "s2 8 carries" => /say which VLANs it carries|vlan/
    }.each { |line, message| assert_match message, assert_raises(Mistake) { say(set, "S", line) }.message }
  end

  # Each fault planted alone in a wiring without faults is found, and nothing else is.
  FAULTS = {
    "port-used-twice" => "host-0002 eth1 to acc-0001 up1, multimode",
    "port-does-not-exist" => "host-0001 eth7 to acc-0001 40, copper",
    "medium-does-not-fit" => "host-0001 eth1 to acc-0001 40, coax",
    "speed-does-not-fit" => "host-0001 eth1 to acc-0001 40, copper 100G",
    "cable-to-itself" => "acc-0001 40 to acc-0001 41, copper",
    "port-undecided" => "host-0001 to acc-0001 40, copper",
    "too-long" => "host-0001 eth1 to acc-0001 40, copper 1G, 101m",
    "parallel-without-bundle" => "switch acc-0001, ports 60-61 copper\nswitch acc-0002, ports 60-61 copper\n" \
                                 "acc-0001 60 to acc-0002 60\nacc-0001 61 to acc-0002 61",
    "not-dual-homed" => "switch acc-0900, ports up1 fibre 10G\nuplink acc-0900 to core-0001",
    "single-feed" => "ups ups-0001, outlets 1-4\nups-0001 1 to acc-0001 a, power\nups-0001 2 to acc-0001 b, power",
    "host-name-breaks-rule" => "server Old",
    "owner-unclear" => "router pe-0001\npe-0001 to host-0001, circuit 200M\nserver host-0001, ports eth0-eth1 copper 1G/10G\n" \
                       "host-0001 eth1 to pe-0001, circuit 100M"
  }.freeze
  # What some faults bring along: a port of another medium is used twice, or has another speed.
  ALONG = {
    "port-used-twice" => %w[medium-does-not-fit speed-does-not-fit],
    "medium-does-not-fit" => [],
    "owner-unclear" => %w[port-undecided single-way-out]
  }.freeze

  def test_planted_faults_are_found_and_nothing_else
    set = model(GeneratedCabling.new(2, switches: 3, servers: 5).text)
    known = findings(set).map(&:key)
    FAULTS.each do |id, lines|
      found = Checks::Runner.new(say(set, "Wires", *lines.lines(chomp: true))).findings.reject { |one| known.include?(one.key) }
      assert_includes found.map(&:id), id
      assert_empty found.map(&:id).uniq - [id, "single-way-out", *ALONG[id]], id
    end
  end

  def test_a_repair_mends_what_it_is_of
    set = model(GeneratedCabling.new(2, switches: 3, servers: 5).text)
    FAULTS.each do |id, lines|
      draft = say(set, "Wires", *lines.lines(chomp: true))
      finding = Checks::Runner.new(draft).findings.find { |one| one.id == id && one.repair } or next
      mended = Change::Draft.new(draft, ids: -> { SecureRandom.uuid })
      finding.repair.changes.each { |change| mended.apply(change) }
      refute_includes Checks::Runner.new(mended).findings.map(&:key), finding.key, id
    end
  end

  def test_a_port_of_a_panel_carries_a_cable_on_each_face
    set = model("patch panel p, ports 1-24\nserver a\nserver b\nserver c\na to p 1\nb to p 1")
    assert_empty ids_of(set) & ["port-used-twice"]
    assert_includes Checks::Runner.new(say(set, nil, "c to p 1")).findings.map(&:id), "port-used-twice"
  end

  def test_drawings_shorten_ports_by_role_and_show_where_another_side_begins
    set = model(<<~TEXT, tidy: true)
      project P
      cabling labels of switch PORT
      sheet S: physical network
      provider Northline
      router pe-01 owned by Northline
      router pe-02 owned by Northline
      switch core-01, 2 members, ports 1-24 copper
      pe-01 to core-01 2/7, circuit 200M
      pe-01 x to pe-02 y
    TEXT
    sheet = set.sheet_list.first
    outer, inner = set.of_kind("link").sort_by(&:ordinal)
    assert_equal %w[7 200M], sheet.notation.labels(set, outer).map(&:text)
    assert_equal "2/7", Cabling::Schedule.new(set).rows.flat_map(&:ends).find { |one| one.facts["port"] == "2/7" }.facts["port"]
    notation = Basalt::Network::Notation::Physical.new
    assert_equal([[:first], []], [outer, inner].map { |cable| notation.borders(set, cable) })
    drawn = Drawing::Scene.new(set, sheet.id).items.select { |item| item.shapes.any? { |shape| shape.include?(:border) } }
    assert_includes drawn.map(&:element_id), outer.id
    refute_includes drawn.map(&:element_id), inner.id
  end

  def test_wiring_is_read_back
    20.times do |seed|
      set = model(GeneratedCabling.new(seed).text)
      assert_equal facts(set), facts(model(reading(set)))
    end
  end
end
