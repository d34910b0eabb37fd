# frozen_string_literal: true

require_relative "../support/core_helper"

# Statements both ways.
class StatementsTest < Minitest::Test
  include CoreHelper

  HOSTILE = [
    "on",
    "to",
    "is",
    "a to b",
    "x on y",
    "plant, north",
    "say: yes",
    "(old)",
    'the "big" one',
    "#1",
    "router",
    "access point",
    "server tickets",
    "10.20.4.0/24",
    ".20",
    "at",
    "gateway",
    "in",
    "in Plant",
    "internet",
    "twice",
    "копия",
    "東京 局",
    "ναός",
    "e\u0301te",
    "<script>alert(1)</script>",
    "a & b",
    "'",
    "remove",
    "rename a to b",
    "project",
    "sheet",
    "note on",
    "take a off",
    ("many words " * 4) + "end",
    "a b c d e f g h i j k l m n",
    "42U",
    "circuit",
    "label",
    "of",
    "is assumed",
    "is assumed by all",
    "C:\\temp",
    "😀",
    "12",
    'half " quote',
    "planned",
    "?",
    "vlan 7"
  ].map(&:strip).freeze

  def q(name) = Basalt::Statements::Quoting.quote(name)

  # Everything the catalogue of networks holds, with one hostile name after another.
  def everything(name, other)
    <<~TEXT
      project #{q(name)}
      country #{q("c #{name}")}
      site #{q(name)} in #{q("c #{name}")}
      building #{q("b #{name}")} in #{q(name)}
      room #{q("r #{name}")} in #{q("b #{name}")}
      rack #{q("k #{name}")} in #{q("r #{name}")}, 42U
      provider Owner
      symbol #{q(name)}, image pic-1, stands for #{q("access point")}
      symbol #{q("y #{name}")}, image pic-2
      sheet #{q("s #{name}")}: logical network, number X-1, status #{q(name[0, 60])}
      internet
      provider #{q(name)}
      router #{q("r1 #{name}")} in #{q("r #{name}")}, owned by provider #{q(name)}
      switch #{q(name)}, planned
      firewall #{q(other)}
      subnet #{q(name)} 10.1.0.0/16, vlan 7, space #{q("lab")}
      subnet #{q("part #{name}")} 10.1.4.0/24, part of #{q(name)}, space lab, isolated
      subnet Six fd00:4::/64, planned
      switch #{q(name)} on #{q("part #{name}")} at .20, gateway
      switch #{q(name)} on Six at ::20, interface eth1, planned
      switch #{q(name)} on Six, interface eth2
      firewall #{q(other)} on subnet #{q(name)} at .4.9
      gateway shared by firewall #{q(other)}, #{q("r1 #{name}")} on Six at ::1
      switch #{q(name)} #{q("1/1")} to #{q("r1 #{name}")} #{q(name.split.first)}, copper 1G
      switch #{q(name)} to firewall #{q(other)}, three times
      #{q("r1 #{name}")} to internet, circuit 200M, label #{q(name)}
      firewall #{q(other)} to #{q("r1 #{name}")}, radio, planned
      note on switch #{q(name)}: #{name}
      firewall #{q(other)} is assumed
      firewall #{q(other)} is drawn as symbol #{q(name)}
      sheet Second: logical network, laid out in lanes
      switch #{q(name)}
      #{q("r1 #{name}")} on Six
    TEXT
  end

  HOSTILE.each_with_index do |name, index|
    define_method("test_everything_comes_back_with_hostile_name_#{index}") do
      set = model(everything(name, HOSTILE[(index + 7) % HOSTILE.length].then { |o| o == name ? "other" : o }))
      again = model(reading(set))
      assert_equal facts(set), facts(again), reading(set)
      assert_equal reading(set), reading(again)
    end
  end

  12.times do |seed|
    define_method("test_generated_network_comes_back_#{seed}") do
      set = model(GeneratedNetwork.new(seed, things: 6).text)
      assert_equal facts(set), facts(model(reading(set)))
    end
  end

  def test_names_are_quoted_only_where_needed
    text = "sheet S: logical network\nserver found at\nserver plain name\nsubnet Plant 10.1.0.0/24\nfound at on Plant at .2\n"
    lines = reading(model(text.sub("server found at", 'server "found at"'))).lines(chomp: true)
    assert_includes lines, "server plain name"
    assert_includes lines, "found at is on Plant at 10.1.0.2"
  end

  def test_two_of_one_name_are_told_apart
    set = model("sheet S: logical network\nserver tickets\nrouter tickets\nsubnet N 10.0.0.0/24\nserver tickets on N at .5")
    assert_includes reading(set), "server tickets is on N at 10.0.0.5"
    error = assert_raises(Basalt::Statements::Misread) { say(set, "S", "tickets on N at .6") }
    assert_match(/2 called “tickets”: say “server tickets” or “router tickets”/, error.message)
  end

  def test_places_are_told_apart_by_what_they_are_in
    text = "site A\nsite B\nroom Comms in A\nroom Comms in B\nserver x in Comms of B"
    set = model(text)
    assert_equal "B", set.element(set.element(set.named("x").first.container_id).container_id).name
    assert_equal facts(set), facts(model(reading(set)))
  end

  def test_a_thing_may_be_used_above_its_declaration
    set = model("sheet S: logical network\na on N at .1\nsubnet N 10.0.0.0/24\nserver a in Room\nroom Room in Site\nsite Site")
    assert_equal 1, set.of_kind("attachment").length
  end

  def test_saying_it_again_changes_nothing
    text = everything("plc", "fw")
    set = model(text)
    draft = Basalt::Change::Draft.new(set)
    Basalt::Statements::Document.new(text).into(draft)
    assert_empty draft.effect.deltas
  end

  def test_short_addresses_are_completed_from_the_prefix
    {
      %w[10.20.4.0/24 .20] => "10.20.4.20",
      %w[10.20.0.0/16 .4.20] => "10.20.4.20",
      %w[10.20.4.0/23 .5.20] => "10.20.5.20",
      %w[10.0.0.0/8 .1.2.3] => "10.1.2.3",
      %w[10.20.4.0/25 .20] => "10.20.4.20",
      %w[fd00:4::/64 ::20] => "fd00:4::20",
      %w[10.20.4.0/24 10.9.9.9] => "10.9.9.9",
      %w[10.20.4.4/30 .5] => "10.20.4.5"
    }.each do |(prefix, short), whole|
      set = model("sheet S: logical network\nsubnet N #{prefix}\nserver a\na on N at #{short}")
      assert_equal whole, set.of_kind("attachment").first["address"]
    end
  end

  REFUSED = {
    "server a\nb on N" => [4, /“b” is not understood here.*could stand/],
    "server a\na on M" => [4, /“M” is not understood.*did you mean “N”/],
    "server a\na on" => [4, /stops too early.*known subnet/],
    "wombat a" => [3, /“wombat”/],
    "server" => [3, /stops too early.*a name/],
    "server a\na on N at .4.20" => [4, /leaves 1 octet open/],
    "server a\na on N at 300.1.1.1" => [4, /not an address/],
    "server \"a" => [3, /quote is not closed/],
    "subnet P 10.0.0.1/24" => [3, %r{bits set behind the prefix; the subnet is 10.0.0.0/24}],
    "subnet P 10.0.0.0/33" => [3, /longer than 32 bits/],
    "server a:b" => [3, /colon: put the name in double quotes/],
    "server #{"x" * 300}" => [3, /300 characters; at most 200/],
    "x" * 10_000 => [3, /10000 characters; at most 4000/],
    "server a\na to nowhere" => [4, /“nowhere”/],
    "subnet Q 10.0.0.0/24, vlan 5000" => [3, /from 1 to 4094/],
    "server a\nserver b\na to b, 900 times" => [5, /from 1 to 100 times/],
    "sheet S: wombat" => [3, /“wombat”.*could stand/],
    "sheet S: entities" => [3, /logical network sheet already/],
    "server a\x07b" => [3, /cannot be printed/],
    "note on nobody: x" => [3, /“nobody”/],
    "server a\nrename a to" => [4, /stops too early/],
    "site A in B\nsite B in A" => [3, /“B” is not understood/]
  }.freeze

  REFUSED.each_with_index do |(text, (line, message)), index|
    define_method("test_refusal_#{index}") do
      error = assert_raises(Basalt::Statements::Misread) { model("sheet S: logical network\nsubnet N 10.0.0.0/24\n#{text}") }
      assert_match message, error.message
      assert_equal line, error.line
    end
  end

  def test_files_that_are_no_text_are_refused
    { "a\0b" => /binary/, "\xFF\xFE\x00" => /UTF-8/, "x" * 10_000_001 => /larger than 10 MB/ }.each do |bytes, message|
      assert_match message, assert_raises(Basalt::Mistake) { Basalt::Statements::Document.new(bytes) }.message
    end
    assert_empty model("\uFEFF# only a comment\n\n").elements.each.to_a
  end

  def test_nothing_of_a_refused_text_is_taken
    set = model("sheet S: logical network\nserver a")
    draft = Basalt::Change::Draft.new(set)
    assert_raises(Basalt::Statements::Misread) do
      Basalt::Statements::Document.new("server b\nserver c on").into(draft, sheet_id: set.sheet_list.first.id)
    end
    assert_equal ["a"], set.of_kind("device").map(&:name)
  end

  def test_random_lines_are_read_or_refused_and_nothing_else
    words =
      %w[server router on to at is subnet Plant a b .20 10.0.0.0/24 gateway , : " ( ) in of note rename remove internet ? ; twice] +
      [" ", "\t", "é"]
    set = model("sheet S: logical network\nserver a\nserver b\nsubnet Plant 10.0.0.0/24")
    random = Random.new(3)
    600.times do
      line = Array.new(random.rand(1..9)) { words.sample(random:) }.join([" ", ""].sample(random:))
      say(set, "S", line).effect
    rescue Basalt::Statements::Misread => e
      refute_empty e.message
    end
  end

  def test_what_could_go_on_is_offered
    set = model("sheet S: logical network\nserver historian\nsubnet Plant 10.0.0.0/24")
    context = Basalt::Statements::Context.new(Basalt::Change::Draft.new(set), sheet_id: set.sheet_list.first.id)
    offered = ->(head) { Basalt::Statements::Completion.new(head, context).words.map(&:first) }
    assert_includes offered.call("historian"), "on"
    assert_includes offered.call("historian on "), "Plant"
    assert_includes offered.call(""), "access point"
    assert_includes offered.call("server x, "), "planned"
  end
end
