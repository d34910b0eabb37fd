# frozen_string_literal: true

require_relative "../../support/core_helper"
require_relative "../../../standins/cloud/account"
require "json_schemer"

# Inventories of accounts: what comes in twice, what comes in damaged, and what goes out again.
class CloudInventoryTest < Minitest::Test
  include CoreHelper

  I = Basalt::Cloud::Inventory
  SCHEMA = JSONSchemer.schema(JSON.parse(File.read(File.expand_path("../../../docs/cloud-inventory.schema.json", __dir__))))

  def account(...) = Standins::Cloud::Account.new(...).document
  def read(document) = I::Reader.new(JSON.generate(document))

  def take(set, document)
    draft = Change::Draft.new(set, ids: -> { SecureRandom.uuid })
    I::Intake.new(I::Comparison.new(read(document), draft), draft).take
    set.advance(draft.effect)
  end

  def written(set)
    document = I::Writer.new(set, "id" => "tarnwater-1").document
    document.transform_values { |list| list.is_a?(Array) ? list.map { |one| plain(one) }.sort_by(&:inspect) : list }
  end

  # What has no order of its own is compared without one.
  def plain(one)
    one.to_h { |key, value| [key, value.is_a?(Array) && !(key == "rules" && one.key?("subnets")) ? value.sort_by(&:inspect) : value] }
  end

  # The same account after a while: some of it gone, some of it renamed, moved, ruled otherwise, some of it new.
  def later(document, seed)
    random = Random.new(seed)
    copy = JSON.parse(JSON.generate(document))
    gone = copy["resources"].select { |one| one["service"] == "machine" && random.rand < 0.3 }.map { |one| one["id"] }
    copy["resources"].reject! { |one| gone.include?(one["id"]) }
    copy["connections"].reject! { |one| [one["from"], one["to"]].intersect?(gone) || random.rand < 0.2 }
    copy["resources"].select { random.rand < 0.3 }.each { |one| one["name"] = "#{one["name"]} renamed" }
    moved = copy["resources"].select { |one| one["service"] == "machine" && random.rand < 0.4 }
    moved.each { |one| one["in"] = copy["boundaries"].last["id"] }
    copy["groups"].select { random.rand < 0.4 }.each { |one| one["rules"] = one["rules"].drop(1) }
    copy["lists"].each { |one| one["rules"] = one["rules"].shuffle(random:) }
    copy["tables"].each { |one| one["routes"] = [{ "block" => "10.99.0.0/16" }, *one["routes"]] }
    copy["resources"] << { "id" => "new-#{seed}", "service" => "cache", "name" => "fresh", "in" => copy["boundaries"].last["id"] }
    copy
  end

  def test_a_second_inventory_over_the_first_gives_the_second
    12.times do |seed|
      first = account(seed:)
      second = later(first, seed)
      over = take(take(Model::WorkingSet.new, first), second)
      assert_equal written(take(Model::WorkingSet.new, second)), written(over), "seed #{seed}"
      assert_empty(I::Comparison.new(read(second), over).then { |one| [one.added, one.gone, one.altered].flatten })
    end
  end

  def test_what_people_added_and_where_things_stand_stays
    set = take(Model::WorkingSet.new, account)
    draft = say(set, nil, "machine own", "note on own: by hand")
    front = set.of_kind("resource").find { |one| one["service"] == "load balancer" }
    draft.apply(Change::Set.new(id: front.id, fact: "note", value: "asked on Monday"))
    sheet = draft.new_id
    draft.apply(Change::AddSheet.new(name: "S", notation: "cloud", id: sheet))
    draft.apply(Change::Show.new(sheet_id: sheet, element_id: front.id))
    draft.apply(Change::Arrange.new(placement_id: draft.placement(sheet, front.id).id, to: { x: 11, y: 22, w: 200, h: 46, by_hand: true }))
    set.advance(draft.effect)
    take(set, later(account, 3))
    assert_equal "by hand", set.named("own").first["note"]
    assert_equal "asked on Monday", set.element(front.id)["note"]
    assert_equal 11, set.placement(sheet, front.id).x
  end

  def test_what_was_drawn_before_is_the_same_thing
    set = model("sheet S: cloud\nregion North\nnetwork \"sys0 net\" in North\nmachine elsewhere")
    taken = take(set, account)
    assert_equal 1, taken.named("North").length
    assert_equal 1, taken.named("sys0 net").length
  end

  def test_inventories_fit_their_schema_and_come_out_as_they_went_in
    assert_empty SCHEMA.validate(account).to_a
    written = I::Writer.new(take(Model::WorkingSet.new, account), "id" => "tarnwater-1", "name" => "N").document
    assert_empty(SCHEMA.validate(JSON.parse(JSON.generate(written))).map { |error| error["error"] })
  end

  DAMAGED = {
    ->(d) { d.delete("format") } => %r{at /format it says nothing of being a cloud inventory},
    ->(d) { d["version"] = 7 } => %r{at /version its version is 7},
    ->(d) { d["machines"] = [] } => %r{at /machines nothing of that name belongs here},
    ->(d) { d["resources"] = {} } => %r{at /resources it is not a list},
    ->(d) { d["resources"][1]["in"] = "nowhere" } => %r{at /resources/1/in "nowhere" is nowhere in it},
    ->(d) { d["resources"][1]["id"] = d["resources"][0]["id"] } => %r{at /resources/1/id two are called},
    ->(d) { d["resources"][0]["service"] = "toaster" } => %r{at /resources/0/service it is none of},
    ->(d) { d["boundaries"][1]["blocks"] = ["10.0.0.0/99"] } => %r{at /boundaries/1/blocks},
    ->(d) { d["boundaries"][0]["in"] = d["boundaries"][1]["id"] } => %r{/in what it is in is in it},
    ->(d) { d["groups"][0]["rules"][0]["from"] = { "group" => "gone" } } => %r{at /groups/0/rules/0/group "gone" is nowhere},
    ->(d) { d["groups"][0]["rules"][0]["ports"] = "x" } => %r{at /groups/0/rules/0/ports ports are a number},
    ->(d) { d["groups"][0]["rules"][0]["action"] = "denies" } => %r{a group only allows},
    ->(d) { d["tables"][0]["routes"][0]["to"] = d["groups"][0]["id"] } => %r{is one of groups, and not of boundaries or resources},
    ->(d) { d["resources"][0]["facts"] = { "a" => [1] } } => %r{at /resources/0/facts}
  }.freeze

  def test_what_is_wrong_is_told_with_its_place
    DAMAGED.each do |damage, words|
      document = JSON.parse(JSON.generate(account)).tap(&damage)
      assert_match words, assert_raises(I::Unreadable) { read(document) }.message
    end
    ["", "[", "[]", "null", "{\"format\": \"cloud inventory\"", "[" * 40, "\xFF".b].each { |text| assert_raises(I::Unreadable, text) { I::Reader.new(text) } }
  end

  T = Basalt::Cloud::Tosca

  def test_service_templates_come_out_as_they_went_in
    6.times do |seed|
      set = take(Model::WorkingSet.new, account(seed:, machines: seed + 1))
      reader = T::Reader.new(T::Writer.new(set, "N").yaml)
      assert_empty reader.left
      again = take(Model::WorkingSet.new, reader.document)
      nodes = ->(one) { Psych.load(T::Writer.new(one, "N").yaml).dig("topology_template", "node_templates") }
      plain = ->(one) { nodes.(one).transform_values { |node| node.except("requirements") } }
      assert_equal plain.(set).sort, plain.(again).sort
      assert_equal set.of_kind("connection").length, again.of_kind("connection").length
    end
  end

  TEMPLATE = "tosca_definitions_version: tosca_simple_yaml_1_3\ntopology_template:\n  node_templates:\n    net: { type: " \
             "tosca.nodes.network.Network, " \
             "properties: { cidr: 10.1.0.0/24 } }\n    web: { type: tosca.nodes.Compute, requirements: [ { db: { node: base } } ] }\n    " \
             "base: { type: Database }\n    port: { type: Port, properties: { ip_address: 10.1.0.9 }, requirements: [ { binding: web " \
             "}, { link: net } ] }\n"

  def test_a_template_of_somebody_else_is_read
    set = take(Model::WorkingSet.new, T::Reader.new(TEMPLATE).document)
    web = set.named("web").first
    assert_equal ["machine", "10.1.0.9", "net"], [web["service"], web["address"], set.element(web.container_id).name]
    assert_equal "relational store", set.named("base").first["service"]
    assert_equal 1, set.of_kind("connection").length
  end

  def test_yaml_that_is_more_than_plain_is_refused_with_its_line
    {
      "a: &x 1\nb: *x\n" => /line 2: an alias/,
      "a: !ruby/object:Object {}\n" => /line 1: a tag/, "a: [" => /line \d/, "- 1" => /it is not a map/,
      "a: 1" => /tosca_definitions_version/, "--- 1\n--- 2\n" => /2 documents/, "a: #{"[" * 80}#{"]" * 80}" => /nested deeper/,
      TEMPLATE.sub("node: base", "node: gone") => %r{web/requirements/0 "gone" is nowhere}
    }.each { |text, words| assert_match words, assert_raises(I::Unreadable, text) { T::Reader.new(text).document }.message }
  end

  # Whatever is done to an inventory, it is read or refused in words.
  def test_mutated_inventories_raise_named_errors_only
    text = JSON.generate(account(systems: 1, services: 1, machines: 1))
    random = Random.new(5)
    400.times do
      copy = text.dup
      random.rand(1..4).times {
        copy[random.rand(copy.length), random.rand(0..3)] = ["", "\"", "{", "]", "null", "9", "éa"].sample(random:)
      }
      I::Reader.new(copy)
    rescue I::Unreadable
      nil
    end
  end
end
