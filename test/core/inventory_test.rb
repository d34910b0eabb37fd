# frozen_string_literal: true

require_relative "../support/core_helper"
require_relative "../support/generated_cabling"

# Tables of any encoding and separator, and inventories becoming a model.
class InventoryTest < Minitest::Test
  include CoreHelper

  HEAD = "Device name;Type;Network;IP address;Gateway;Location;Remarks\n"

  def table(text) = Basalt::Formats::CSV.new(text)

  def take(text, set = Basalt::Model::WorkingSet.new)
    table = table(text)
    draft = Basalt::Change::Draft.new(set)
    sheet =
      draft.sheets.by(:name, "Inventory").first ||
      draft.apply(Basalt::Change::AddSheet.new(name: "Inventory", notation: "logical network")).sheet_list.first
    result =
      Basalt::Network::Inventory::Intake.new(table, Basalt::Network::Inventory::Subjects::THINGS.guess(table.headings)).take(
        draft,
        sheet_id: sheet.id
      )
    [result, draft]
  end

  def test_headings_are_guessed_in_any_order
    guess = ->(*headings) { Basalt::Network::Inventory::Subjects::THINGS.guess(headings) }
    assert_equal({ "name" => 1, "role" => 0, "address" => 2 }, guess.call("Type", "Hostname", "IPv4 Address"))
    assert_equal(
      { "name" => 2, "subnet" => 1, "address" => 0, "location" => 3, "note" => 4, "gateway" => 5 },
      guess.call("ip", "VLAN name", "Device", "Site", "Comments", "Default gateway")
    )
  end

  def test_an_inventory_becomes_a_checked_sheet
    result, draft =
      take(
        "#{HEAD}r1;Router;Office 10.1.0.0/24;10.1.0.1;yes;Works / Comms;\npc-1;PC;Office;10.1.0.11;10.1.0.1;Works / Hall;\"near the " \
        "door; left\"\npc-2;pc;;10.1.0.12/24;;;\n"
      )
    assert_equal 3, result.taken
    assert_empty result.rejected
    assert_equal(
      { "r1" => "router", "pc-1" => "workstation", "pc-2" => "workstation" },
      draft.of_kind("device").to_h { |d| [d.name, d["role"]] }
    )
    assert_equal "near the door; left", draft.named("pc-1").first["note"]
    assert_equal 1, draft.of_kind("subnet").length
    assert_empty findings(draft)
  end

  def test_taking_the_same_file_twice_adds_nothing
    text = File.read(File.expand_path("../../demo/things.csv", __dir__))
    _, draft = take(text)
    set = Basalt::Model::WorkingSet.new.advance(draft.effect)
    _, again = take(text, set)
    assert_empty again.effect.deltas
  end

  REJECTED = {
    "x;toaster;Office;10.1.0.5;;;" => /“toaster” is not a known role/,
    ";server;Office;10.1.0.5;;;" => /no name/,
    "x;server;Office;10.1.0.999;;;" => /not an address/,
    "x;server;;172.16.0.9;;;" => /none that is known covers/,
    "r1;server;Office;10.1.0.9;;;" => /router already, not a server/,
    "r1;Router;Office;10.1.0.9;;;" => /on Office at 10.1.0.1 already/,
    "x;server;Office 10.2.0.0/24;10.2.0.9;;;" => %r{10.1.0.0/24 already},
    "x;server;Other 10.2.0.9/24;10.2.0.9;;;" => /bits set/
  }.freeze

  REJECTED.each_with_index do |(row, reason), index|
    define_method("test_rejected_row_#{index}_leaves_nothing_behind") do
      good = "#{HEAD}r1;Router;Office 10.1.0.0/24;10.1.0.1;yes;;\n"
      result, draft = take("#{good}#{row}\n")
      assert_equal [3], result.rejected.map(&:line)
      assert_match reason, result.rejected.first.reason
      assert_equal facts(take(good)[1]), facts(draft)
    end
  end

  def test_encodings_and_separators
    rows = [%w[name role], %w[Prüfstand server]]
    { ",": "UTF-8", ";": "Windows-1252", "\t": "UTF-16LE", "|": "UTF-16BE" }.each do |mark, encoding|
      text = rows.map { |row| row.join(mark.to_s) }.join("\r\n")
      bom = { "UTF-16LE" => "\xFF\xFE".b, "UTF-16BE" => "\xFE\xFF".b, "UTF-8" => "\xEF\xBB\xBF".b }.fetch(encoding, "".b)
      read = table(bom + text.encode(encoding).b)
      assert_equal [%w[name role], %w[Prüfstand server]], [read.headings, read.rows.first.cells], encoding
    end
  end

  def test_lines_are_numbered_as_in_the_file
    assert_equal [2, 4, 6], table("name,note\na,\"x\"\n\nb,\"two\nlines\"\nc,\n").rows.map(&:line)
  end

  BAD = {
    "" => /empty/,
    " \n" => /empty/,
    "name\n" => /no rows/,
    ",,\n1,2,3" => /no heading/,
    "\x89PNG\r\n\0\0" => /binary/,
    "PK\x03\x04abc" => /binary/,
    "name,role\n\"a,b" => /line 2: a quoted cell is not closed/,
    "x" * 10_000_001 => /larger than 10 MB/,
    "#{"a," * 300}b\n1" => /301 columns/
  }.freeze

  BAD.each_with_index do |(bytes, reason), index|
    define_method("test_bad_file_#{index}") do
      assert_match reason, assert_raises(Basalt::Formats::CSV::Unreadable) { table(bytes) }.message
    end
  end

  def test_written_cells_are_no_formulas
    assert_equal "a,'=1+1\r\n", Basalt::Formats::CSV.write([%w[a =1+1]])
  end

  S = Basalt::Network::Inventory::Subjects
  UNITS = <<~TEXT
    sheet Wires: physical network
    switch core, 2 members, ports 1-2 copper 1G
    switch acc
    server s, ports eth0 copper 1G
    provider Carrier
  TEXT

  # @return [Array] what came of it, and the draft
  def bring(set, text, subject = nil)
    table = table(text)
    subject ||= S.guess(table.headings)
    draft = Basalt::Change::Draft.new(set)
    intake = Basalt::Network::Inventory::Intake.new(table, subject.guess(table.headings), subject)
    [intake.take(draft, sheet_id: set.sheet_list.first.id), draft]
  end

  def test_what_rows_are_about_is_guessed_from_the_headings
    {
      "Hostname,Type,IP address" => S::THINGS,
      "name,role,location" => S::THINGS,
      "Device,Interface,Media,Speed" => S::PORTS,
      "switch,port" => S::PORTS,
      "Device A,Port A,Device B,Port B,Cable type,Length (m)" => S::CABLES,
      Basalt::Network::Cabling::Schedule::HEADINGS.join(",") => S::CABLES
    }.each { |headings, subject| assert_equal subject.name, S.guess(headings.split(",")).name, headings }
  end

  def test_a_schedule_is_read_back_as_the_same_cables
    20.times do |seed|
      text = GeneratedCabling.new(seed).text
      whole = model(text)
      bare = model(text.lines.grep_v(/^uplink|^host-.* to /).join)
      result, draft = bring(bare, Basalt::Network::Cabling::Schedule.new(whole).csv)
      assert_empty result.rejected.map(&:reason), "seed #{seed}"
      assert_equal Basalt::Network::Cabling::Schedule.new(whole).csv, Basalt::Network::Cabling::Schedule.new(draft).csv
      _, again = bring(whole, Basalt::Network::Cabling::Schedule.new(whole).csv)
      assert_empty again.effect.deltas
    end
  end

  def test_ports_row_by_row_in_any_order_are_the_patterns_they_came_from
    20.times do |seed|
      whole = model(GeneratedCabling.new(seed).text)
      rows =
        whole.of_kind("device").flat_map do |unit|
          Basalt::Network::Cabling::Ports.of(whole, unit).each.map do |port|
            [unit.name, port.label, port.power? ? "power" : port.takes, port.speed, port.group.pluggable ? "yes" : "", port.use]
          end
        end
      rows = rows.reject { |row| row[2] == "power" }.shuffle(random: Random.new(seed))
      bare = model(GeneratedCabling.new(seed).text.lines.grep_v(/^uplink| to |^model/).map { |line|
        line.sub(/,? (model|ports) .*/, "")
      }.join)
      result, draft = bring(bare, ["unit,port,medium,speed,pluggable", *rows.map { |row| row.first(5).join(",") }].join("\n"))
      assert_empty result.rejected.map(&:reason), "seed #{seed}"
      whole.of_kind("device").each do |unit|
        was, is = [whole, draft].map { |set| Basalt::Network::Cabling::Ports.of(set, set.named(unit.name).find { |one| one.kind == "device" }) }
        assert_equal was.each.reject(&:power?).to_set(&:label), is.each.to_set(&:label), unit.name
        assert_operator is.groups.length, :<=, was.groups.length
      end
    end
  end

  def test_rows_about_ports_and_cables_that_cannot_be_taken_are_told_and_leave_nothing
    result, draft = bring(model(UNITS), <<~CSV)
      unit,ports,medium,speed,slot
      nowhere,1,copper,1G,
      acc,1-9999999,copper,1G,
      acc,9-1,copper,1G,
      acc,1 2,copper,1G,
      acc,1-4,string,1G,
      acc,1-4,utp,quick,
      acc,,utp,1G,
      core,1/1,fibre,1G,
      core,3/1,copper,1G,
      acc,1-4,utp,1 Gbit/s,x
    CSV
    assert_equal 0, result.taken
    words = [/no device called “nowhere”: bring in the things first/, /at most 10000/, /backwards/, /one word/, /not a known medium/,
             /no speed/, /names no port/, %r{port 1/1 of core is copper already, not fibre}, /there is no member 3/, /a slot is a number/]
    words.zip(result.rejected.map(&:reason)).each { |expected, reason| assert_match expected, reason }
    assert_empty draft.effect.deltas
    result, draft = bring(model(UNITS), <<~CSV)
      from,from port,to,to port,medium,speed,length,state
      core,1/1,nowhere,1,copper,1G,3 m,laid
      core,1/1,,,copper,1G,3,laid
      core,1/1,s,eth0,rope,1G,3,laid
      core,1/1,s,eth0,copper,1G,nine,laid
      core,1/1,s,eth0,copper,1G,3,lost
      core,1/1,s,eth0,CAT 6,1000,2.5,live
      core,not decided,Carrier,,OS2,,,planned
    CSV
    assert_equal 2, result.taken
    assert_equal(
      [["copper", "1G", 3, true, nil], ["single-mode", nil, nil, nil, true]],
      draft.of_kind("link").map { |link| link.facts.values_at("medium", "speed", "length", "laid", "planned") }
    )
    assert_equal [2, 3, 4, 5, 6], result.rejected.map(&:line)
  end

  def test_words_for_media_speeds_and_lengths_are_understood_or_refused
    media = Basalt::Network::Inventory::Media
    { "UTP" => "copper", "Cat6a" => "copper", "cat 5e" => "copper", "RJ45" => "copper", "MMF" => "multimode", "OM4" => "multimode",
      "single mode fiber" => "single-mode", "OS2" => "single-mode", "Fiber" => "fibre", "wifi" => "radio", "coaxial" => "coax",
      **Basalt::Network::Cabling::Medium::ALL.to_h { |medium| [medium.upcase, medium] } }
      .each { |text, medium| assert_equal medium, media.medium(text), text }
    { "1000" => "1G", "100" => "100M", "1 Gbit/s" => "1G", "10Gbps" => "10G", "10GbE" => "10G", "2.5G" => "2.5G", "100 Mb/s" => "100M",
      "10GBASE-SR" => "10G", "1G/10G" => "1G/10G", "400 Gb" => "400G", "64k" => "64K", "1.544 Mbit/s" => "1.54M" }
      .each { |text, speed| assert_equal speed, media.speed(text), text }
    { "12" => 12, "12 m" => 12, "2.1m" => 3, "0,5 metres" => 1 }.each { |text, metres| assert_equal metres, media.length(text), text }
    ["string", "utp cable of mine"].each { |text| assert_raises(Mistake, text) { media.medium(text) } }
    ["fast", "", "1G/", "/", "G10", "-1G"].each { |text| assert_raises(Mistake, text) { media.speed(text) } }
    ["long", "12 ft", "-3", "1m2"].each { |text| assert_raises(Mistake, text) { media.length(text) } }
  end

  def test_what_is_said_again_with_more_is_one_cable_and_keeps_what_was_known
    set = model("#{UNITS}acc 7 to s eth0, copper, 4m\n")
    result, draft = bring(set, "from,from port,to,to port,label,speed\ns,eth0,acc,7,L-1,1G\nacc,7,s,eth0,L-1,1G\nacc,8,s,,,\n")
    assert_empty result.rejected.map(&:reason)
    first, second = draft.of_kind("link")
    assert_equal ["copper", "1G", 4, "L-1"], first.facts.values_at("medium", "speed", "length", "label")
    assert_equal [["8", nil], 2], [second.ends.map { |one| one.facts["port"] }, draft.of_kind("link").length]
  end

  def test_patterns_that_go_on_become_one_and_others_stay
    groups = Basalt::Network::Cabling::PortGroups
    joined = ->(text, more) { groups.joined(text, Basalt::Network::Cabling::PortGroup.read(more)) }
    { ["1-4 copper", "5 copper"] => "1-5 copper", ["2-4 copper", "1 copper"] => "1-4 copper",
      ["1-2 copper; 4 copper", "3 copper"] => "1-4 copper",
      ["1-4 copper", "5 fibre"] => "1-4 copper; 5 fibre",
      ["eth0", "eth1"] => "eth0-eth1", ["e01", "e02"] => "e01-e02", ["e9", "e10"] => "e9-e10",
      ["a1", "b2"] => "a1; b2", [nil, "wan"] => "wan", ["1-4 slot 1", "5 slot 2"] => "1-4 slot 1; 5 slot 2" }
      .each { |(text, more), told|
      assert_equal told, joined.(text, more)
    }
    assert_match "would be there twice", assert_raises(Mistake) { joined.("1-4 copper", "4 fibre") }.message
  end
end
