# frozen_string_literal: true

require_relative "../../support/core_helper"

# Clouds as people say them: read back, found wrong, and asked who reaches whom.
class CloudTest < Minitest::Test
  include CoreHelper

  CLOUD = <<~TEXT
    project P
    sheet Platform: cloud
    internet
    network net 10.60.0.0/16
    subnet edge 10.60.0.0/24 in net, zone a
    subnet app 10.60.1.0/24 in net, zone a
    internet gateway gate in net
    load balancer front in edge at 10.60.0.10, public
    machine web in app at 10.60.1.10
    route table ways
    ways governs edge
    ways routes 0.0.0.0/0 to gate
    group fronts
    fronts allows in tcp 443 from anywhere
    fronts allows out everything to anywhere
    front belongs to fronts
    group webs
    webs allows in tcp 8080 from fronts
    web belongs to webs
    internet connects to front, tcp 443
    front targets web, tcp 8080
  TEXT

  RULES = {
    "open-to-the-world" => [["fronts allows in tcp 22 from anywhere"], ["fronts allows in tcp 22 from 203.0.113.0/24"]],
    "rule-too-wide" => [["fronts allows in tcp from anywhere"], ["fronts allows in tcp 8000-8100 from anywhere"]],
    "rule-without-effect" => [
      ["fronts allows in tcp 443 from 203.0.113.0/24"],
      ["fronts allows in tcp 444 from 203.0.113.0/24", "fronts allows in tcp 445 from 203.0.113.0/24"]
    ],
    "no-way-out" => [
      ["queue jobs", "route table inner", "inner governs app", "web publishes to jobs", "webs allows out everything to anywhere"],
      ["queue jobs", "route table inner", "inner governs app", "web publishes to jobs", "webs allows out everything to anywhere",
       "address translation nat in edge", "inner routes 0.0.0.0/0 to nat"]
    ],
    "no-way-in" => [["machine other in app", "other belongs to webs", "front targets other, tcp 9090"],
                    ["machine other in app", "other belongs to webs", "front targets other, tcp 8080"]],
    "connection-not-allowed" => [["front connects to web, tcp 22"], ["front connects to web, tcp 8080"]],
    "one-zone-only" => [["subnet second 10.60.2.0/24 in net, zone b"],
                        ["subnet second 10.60.2.0/24 in net, zone b", "machine other in second", "front targets other, tcp 8080"]],
    "blocks-overlap" => [["subnet second 10.60.1.128/25 in net, zone a"], ["subnet second 10.60.2.0/25 in net, zone a"]],
    "resource-outside-subnet" => [["machine odd in app at 10.60.9.9"], ["machine odd in app at 10.60.1.9"]],
    "public-store" => [["object store files, public"], ["object store files, public", "internet connects to files"]],
    "unattached" => [["access list old"], ["access list old", "old governs app", "old allows in everything from anywhere"]]
  }.freeze

  def id(set, name) = set.named(name).first.id
  def ask(set, from, to, port, protocol = "tcp") = Cloud::Question.new(set, id(set, from), id(set, to), protocol, port)

  def test_the_sample_has_nothing_wrong
    assert_empty findings(model(CLOUD)).map(&:message)
  end

  def test_each_finding_is_found_and_its_near_misses_are_not
    RULES.each do |rule, (wrong, right)|
      found = findings(model(CLOUD + wrong.join("\n"))).select { |one| one.id == rule }
      assert_equal 1, found.length, "#{rule}: #{found.map(&:message)}"
      refute_includes ids_of(model(CLOUD + right.join("\n"))), rule, right.inspect
    end
  end

  def test_joined_networks_and_sites_must_not_share_addresses
    joined = "network far 10.60.128.0/17\nnet is joined to far"
    assert_includes ids_of(model(CLOUD + joined)), "blocks-overlap"
    refute_includes ids_of(model("#{CLOUD}network far 10.60.128.0/17")), "blocks-overlap"
    site = "site House 10.60.0.0/20\nprivate attachment line in net\nline is joined to House"
    assert_includes findings(model(CLOUD + site)).map(&:message), "net 10.60.0.0/16 and House 10.60.0.0/20 overlap"
  end

  def test_what_opens_a_store_or_a_console_is_worse
    severities = %w[22 8443].map do |port|
      findings(model("#{CLOUD}fronts allows in tcp #{port} from anywhere")).find { |one| one.id == "open-to-the-world" }.severity
    end
    assert_equal %i[error warning], severities
  end

  def test_questions_are_answered_with_the_way_or_the_first_rule_that_stops_it
    set = model(CLOUD)
    assert_equal "internet can reach front by tcp 443.", ask(set, "internet", "front", 443).answer
    assert_includes ask(set, "internet", "front", 443).steps.map(&:text), "fronts allows in tcp 443 from anywhere."
    assert_equal "internet cannot reach web by tcp 443: web has no address of the internet.", ask(set, "internet", "web", 443).answer
    assert_equal "front cannot reach web by tcp 22: no rule of webs lets tcp 22 in from front.",
                 ask(set, "front", "web", 22).answer
    stray = model("#{CLOUD}queue jobs\nfunction work\nwork reads jobs")
    assert ask(stray, "work", "jobs", 443).passes?
    refute ask(stray, "web", "jobs", 443).passes?
  end

  def test_who_may_reach_a_thing_and_whom_it_may_reach
    set = model("#{CLOUD}function work\nwork reads front")
    entries = Cloud::Reaching.new(set).into(id(set, "front"))
    assert_equal([[id(set, "work"), :declared], [nil, :wide]].to_set, entries.to_set { |one| [one.id, one.sort] })
    out = Cloud::Reaching.new(set).out_of(id(set, "front"))
    assert_includes out.map { |one| [one.id, one.sort, one.traffic.to_s] }, [id(set, "web"), :rules, "tcp 8080"]
  end

  # A word that two trades share means what its sheet draws.
  def test_shared_words_mean_what_their_sheet_draws_and_are_told_apart_elsewhere
    text = "project P\nsubnet loose 10.1.0.0/24\ncloud subnet airy 10.2.0.0/24\nsheet N: logical network\nsubnet Plant 10.20.4.0/24\n" \
           "load balancer front on Plant\nsheet C: cloud\nnetwork net\nsubnet Plant 10.60.4.0/24 in net\nload balancer front in " \
           "Plant\nsheet E: entities\n" \
           "entity Crew\nsheet M: logical network\nserver web on Plant"
    set = model(text)
    assert_equal ["cloud boundary", "subnet"], set.named("Plant").map(&:kind).sort
    assert_equal "cloud boundary", set.named("airy").first.kind
    assert_equal "subnet", set.named("loose").first.kind
    assert_equal %w[device resource], set.named("front").map(&:kind).sort
    assert_equal facts(set), facts(model(reading(set)))
  end

  def test_words_of_clouds_declare_nothing_on_sheets_of_other_trades
    set = model("project P\nsheet T: sequence\nparticipant client\nparticipant queue\nclient tells queue: job\nqueue itself: wait")
    assert_empty set.of_kind("resource")
  end

  def test_further_facts_that_say_nothing_are_none
    assert_nil Cloud::Details.write({ "memory" => "", " " => "8", "owner" => nil })
    assert_equal({ "memory" => "8" }, Cloud::Details.read(Cloud::Details.write({ "memory" => 8, "owner" => "" })))
  end

  def test_further_facts_are_kept_and_read_back
    set = model("sheet C: cloud\nfunction work, fact \"memory, MB\" 512, fact runtime ruby, zone \"north: a\"")
    assert_equal({ "memory, MB" => "512", "runtime" => "ruby" }, Cloud::Details.read(set.named("work").first["details"]))
    assert_equal facts(set), facts(model(reading(set)))
  end

  def repeated(set, name, **about)
    draft = Change::Draft.new(set, ids: -> { SecureRandom.uuid })
    draft.apply(Cloud::Repeating.new(id(set, name), set.sheet_list.first.id, **about))
    set.advance(draft.effect)
  end

  def test_a_boundary_is_repeated_with_names_and_addresses_that_go_on
    set = repeated(model(CLOUD, tidy: true), "app", outside: true)
    assert_equal ["10.60.2.0/24", "10.60.2.10"], [set.named("app-2").first["prefixes"], set.named("web-2").first["address"]]
    assert_equal ["webs"], Annotation::Membership.groups(set, id(set, "web-2")).map(&:name)
    assert_includes reading(set), "front targets web-2, tcp 8080"
    refute_includes findings(set).map(&:id), "blocks-overlap"
    refute_includes reading(repeated(model(CLOUD, tidy: true), "app")), "front targets web-2"
  end

  def test_a_network_is_repeated_as_a_whole
    set = repeated(repeated(model(CLOUD, tidy: true), "net"), "net")
    assert_equal(%w[10.60.0.0/16 10.61.0.0/16 10.62.0.0/16], set.of_kind("cloud boundary").select { |one| one["level"] == "network" }
      .map { |one| one["prefixes"] })
    assert_equal "10.62.1.10", set.named("web-3").first["address"]
    assert_equal id(set, "ways"), Cloud::Routes.governing(set, id(set, "edge-3")).first.id
  end

  def test_where_no_block_is_free_the_address_is_left_open
    set = model("sheet S: cloud\nnetwork net 10.60.0.0/24\nsubnet one 10.60.0.0/25 in net\nsubnet two 10.60.0.128/25 in net\nmachine m " \
                "in one at 10.60.0.5",
                tidy: true)
    assert_nil repeated(set, "one").named("one-2").first["prefixes"]
  end

  def test_what_is_begun_with_is_read_and_has_nothing_wrong
    assert_equal 8, Cloud::Beginnings.all.length
    Cloud::Beginnings.all.each do |one|
      set = model("sheet S: cloud\n#{one.statements("map")}", tidy: true)
      assert_empty findings(set).map(&:message), one.name
      own = set.things_on(set.sheet_list.first.id).reject { |thing| thing.name == "internet" }
      assert(own.all? { |thing| thing.name.start_with?("map-") }, one.name)
    end
    ["", "1x", "a b", "a\"b", "x" * 41].each { |prefix| assert_raises(Mistake, prefix) { Cloud::Beginnings.all.first.statements(prefix) } }
  end

  def test_a_sheet_of_ones_own_can_be_begun_with
    set = model("#{CLOUD}sheet Next: cloud", tidy: true)
    draft = Change::Draft.new(set, ids: -> { SecureRandom.uuid })
    one, other = set.sheet_list.map(&:id)
    Cloud::Beginnings.copy(draft, one, other, "far")
    assert_equal draft.things_on(one).length - 3, draft.things_on(other).length
    assert_includes Statements::Unparser.new(draft).sheet(other), "far-front targets far-web, tcp 8080"
  end

  def test_facts_are_chosen_for_labels_of_one_of_a_kind_or_of_all
    set = model("sheet C: cloud\nfunction work, fact memory \"1 GB\", showing memory\nfunction rest, fact memory \"2 GB\"\nmachine web, " \
                "fact memory 8, fact owner me")
    lines = ->(now) { %w[work rest web].map { |name| Cloud::ShownFacts.words(now.named(name).first).join } }
    assert_equal ["memory 1 GB", "", ""], lines.(set)
    assert_equal facts(set), facts(model(reading(set)))
    wanted = { "kind" => ["memory 1 GB", "memory 2 GB", ""],
               "sheet" => ["memory 1 GB", "memory 2 GB", "memory 8"] }
    wanted.each do |whom, found|
      draft = Change::Draft.new(set)
      chosen = Cloud::ShownFacts.chosen(draft, set.sheet_list.first.id, set.named("work").first, whom)
      chosen.each { |one| draft.apply(Cloud::ShownFacts.showing(one, "memory", true)) }
      assert_equal found, lines.(draft)
      assert_equal [whom == "sheet", true], %w[machine function].map { |service| later(draft, service).include?("memory") }, whom
    end
  end

  # What a thing that comes to the sheet in an act of its own shows in its label.
  def later(standing, service)
    draft = Change::Draft.new(standing)
    draft.apply(Change::Add.new(kind: Cloud::Kinds::RESOURCE, name: "late", facts: { "service" => service }, id: "late"),
                Change::Show.new(sheet_id: standing.sheet_list.first.id, element_id: "late"))
    Families.settle(draft)
    Cloud::ShownFacts.of(draft.element("late"))
  end

  def test_what_cannot_be_said_of_clouds_is_refused_in_words
    {
      "web allows in tcp 22 from anywhere" => /web is a machine: rules are of a group or an access list/,
      "fronts denies in tcp 22 from anywhere" => /what a group does not allow it keeps off/,
      "web routes 0.0.0.0/0 to gate" => /only a route table routes/,
      "web governs app" => /subnets are governed by an access list or a route table/,
      "net is joined to net" => /net cannot be joined to itself/,
      "fronts allows in tcp 70000 from anywhere" => /up to 65535/,
      "subnet bad 10.60.1.1/24" => /has bits set behind the prefix/,
      "region R in app" => /R, a region, cannot be in app, a subnet/
    }.each do |line, words|
      error = assert_raises(Mistake, line) { say(model(CLOUD), "Platform", line) }
      assert_match words, error.message, line
    end
  end
end
