# frozen_string_literal: true

require_relative "../support/core_helper"

# The logical network: attaching, linking, owning, tiers and places for what is new.
class NetworkTest < Minitest::Test
  include CoreHelper

  N = Basalt::Network

  BASE = "sheet S: logical network\nrouter gw\nsubnet Plant 10.20.4.0/24\nserver a\nserver b\n"

  def attachments(set) = set.of_kind("attachment").map { |x| [set.element(x.target("thing")).name, x["address"], x["interface"]] }

  def test_a_new_address_takes_the_place_of_the_old_one
    assert_equal [["a", "10.20.4.9", nil]], attachments(model("#{BASE}a on Plant at .5\na on Plant at .9"))
  end

  def test_interfaces_have_addresses_of_their_own
    set = model("#{BASE}a on Plant at .5, interface eth0\na on Plant at .9, interface eth1\na on Plant at .10, interface eth1")
    assert_equal [%w[a 10.20.4.5 eth0], %w[a 10.20.4.10 eth1]], attachments(set)
  end

  def test_an_interface_named_later_is_the_one_that_stands
    assert_equal [%w[a 10.20.4.5 eth0]], attachments(model("#{BASE}a on Plant at .5\na on Plant at .5, interface eth0"))
  end

  def test_a_question_mark_clears_an_address
    assert_equal [["a", nil, nil]], attachments(model("#{BASE}a on Plant at .5\na on Plant at ?"))
  end

  def test_a_shared_gateway_attaches_its_members_and_is_one
    set = model("#{BASE}router g2\ngateway shared by gw, g2 on Plant at .1\ngateway shared by g2, gw on Plant at .2")
    assert_equal 1, set.of_kind("shared gateway").length
    assert_equal "10.20.4.2", set.of_kind("shared gateway").first["address"]
    assert_equal %w[gw g2].sort, attachments(set).map(&:first).sort
  end

  def test_a_shared_gateway_finds_the_only_common_subnet
    set = model("#{BASE}router g2\ngw on Plant\ng2 on Plant\ngateway shared by gw, g2 at .1")
    assert_equal "10.20.4.1", set.of_kind("shared gateway").first["address"]
    error = assert_raises(Basalt::Statements::Misread) { model("#{BASE}router g2\ngateway shared by gw, g2 at .1") }
    assert_match(/say on which subnet/, error.message)
  end

  def test_links_are_the_same_when_things_and_ports_are
    assert_equal 1, model("#{BASE}a to b\nb to a").of_kind("link").length
    assert_equal 2, model("#{BASE}a eth0 to b eth0\na eth1 to b eth0").of_kind("link").length
    assert_equal 3, model("#{BASE}a to b, three times\na to b, twice").of_kind("link").length
    assert_equal 2, model("#{BASE}a to b, label one\na to b, label two\na to b, label one").of_kind("link").length
    assert_equal 5, model("#{BASE}a to b, 5 times").of_kind("link").length
  end

  def test_a_thing_has_one_owner
    set = model("provider P\nprovider Q\nrouter r owned by P\nrouter r owned by Q")
    assert_equal(["Q"], N::Owners.of(set, set.named("r").first).map { |id| set.element(id).name })
  end

  def test_only_what_the_notation_draws_stands_on_the_sheet
    set = model("sheet S: logical network\nentity Crew\nserver a")
    assert_equal %w[a], set.things_on(set.sheet_list.first.id).map(&:name).sort
  end

  def test_tiers_go_from_the_outside_inwards
    set =
      model(
        "#{BASE}internet\nfirewall fw\nsubnet T 10.9.0.0/30\ngw to internet\ngw on T at .1\nfw on T at .2\nfw on Plant at .1\na on Plant " \
        "at .5\nb on Plant at .6",
        tidy: true
      )
    sheet = set.sheet_list.first.id
    heights = %w[internet gw T fw Plant a].map { |name| set.placement(sheet, set.named(name).first.id).y }
    assert_equal heights.sort, heights
    assert_equal heights.uniq, heights
  end

  def test_a_router_on_one_subnet_stands_above_it
    set = model("#{BASE}gw on Plant at .1\na on Plant at .5", tidy: true)
    sheet = set.sheet_list.first.id
    assert_operator set.placement(sheet, set.named("gw").first.id).y, :<, set.placement(sheet, set.named("Plant").first.id).y
  end

  def test_hosts_hang_in_order_of_address
    set = model("#{BASE}server c\na on Plant at .30\nb on Plant at .4\nc on Plant at .100", tidy: true)
    sheet = set.sheet_list.first.id
    assert_equal(%w[b a c], %w[a b c].sort_by { |name| set.placement(sheet, set.named(name).first.id).x })
  end

  def test_a_new_host_finds_a_place_beneath_its_subnet
    set = model("#{BASE}a on Plant at .5\ngw on Plant at .1", tidy: true)
    sheet = set.sheet_list.first.id
    draft = say(set, "S", "server c", "c on Plant at .7")
    Basalt::Drawing::Arranger.new(draft, sheet).follow
    host = draft.placement(sheet, draft.named("c").first.id)
    bus = draft.placement(sheet, draft.named("Plant").first.id)
    assert_operator host.y, :>, bus.y
    assert_includes bus.x..(bus.x + bus.w), host.x + (host.w / 2)
    assert_equal 2, draft.placement(sheet, draft.relations_of(draft.named("c").first.id).first.id).route["points"].length
  end

  def test_a_bus_grows_with_what_stands_on_it
    set = model("#{BASE}gw on Plant at .1", tidy: true)
    sheet = set.sheet_list.first.id
    before = set.placement(sheet, set.named("Plant").first.id).w
    draft = say(set, "S", *(1..9).flat_map { |n| ["server s#{n}", "s#{n} on Plant at .#{n + 20}"] })
    Basalt::Drawing::Arranger.new(draft, sheet).follow
    assert_operator draft.placement(sheet, draft.named("Plant").first.id).w, :>, before
  end

  def test_a_longer_name_widens_its_slab
    set = model("#{BASE}a on Plant at .5", tidy: true)
    sheet = set.sheet_list.first.id
    before = set.placement(sheet, set.named("a").first.id).w
    draft = say(set, "S", "rename a to a server with a rather longer name")
    Basalt::Drawing::Arranger.new(draft, sheet).follow
    assert_operator draft.placement(sheet, set.named("a").first.id).w, :>, before
  end

  def test_a_link_to_itself_is_drawn_beside_the_thing
    set = model("#{BASE}a eth0 to a eth1", tidy: true)
    sheet = set.sheet_list.first.id
    box = set.placement(sheet, set.named("a").first.id).box
    route = set.placement(sheet, set.of_kind("link").first.id).route["points"]
    assert(route.all? { |x, y| x >= box.right && y.between?(box.y, box.bottom) })
  end

  def test_short_and_whole_addresses_in_the_label
    { ".5" => ".5", "10.20.9.9" => "10.20.9.9", "?" => "?" }.each do |said, label|
      set = model("#{BASE}a on Plant at #{said}")
      assert_equal label, N::Notation::Logical.new.labels(set, set.of_kind("attachment").first).first.text
    end
  end

  def test_what_a_subnet_counts_agrees_with_the_whole_plan
    10.times do |seed|
      set = model(GeneratedNetwork.new(seed, things: 9).text)
      set
        .of_kind("subnet")
        .each do |subnet|
          whole = N::Addressing.new(set)
          near = N::Addressing.around(set, subnet)
          assert_equal whole.counts(subnet), near.counts(subnet)
          assert_equal whole.next_free(subnet), near.next_free(subnet)
        end
    end
  end

  def test_roles_of_inventories_are_understood
    {
      "PLC" => "controller",
      "Access-Point" => "access point",
      "ROUTER" => "router",
      "Virtual machine" => "server",
      "Load Balancer" => "load balancer"
    }.each { |word, role| assert_equal role, N::Inventory::Roles.read(word) }
  end

  def test_places_of_an_inventory_nest
    table = Basalt::Formats::CSV.new("name,location\na,Works / Block B / Comms\nb,Works / Block B / Comms\nc,Comms\n")
    draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new)
    N::Inventory::Intake.new(table, "name" => 0, "location" => 1).take(draft, sheet_id: nil)
    assert_equal(
      [%w[Works site], ["Block B", "building"], %w[Comms room]],
      draft.of_kind("place").map { |place| [place.name, place["level"]] }
    )
    assert_equal 3, draft.contents_of(draft.named("Comms").first.id).length
  end

  def test_a_preview_alters_nothing
    table =
      Basalt::Formats::CSV.new(
        "name,role,subnet,address\na,server,Net 10.0.0.0/24,10.0.0.5\nb,wombat,Net,10.0.0.6\na,server,Net,10.0.0.5\n"
      )
    draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new)
    rows = N::Inventory::Intake.new(table, N::Inventory::Subjects::THINGS.guess(table.headings)).preview(draft, sheet_id: nil)
    assert_equal([["server a", "subnet Net 10.0.0.0/24", "a is on Net at 10.0.0.5"], [], []], rows.map { |_, sentences, _| sentences })
    assert_match(/wombat/, rows[1][2])
    assert_empty draft.effect.deltas
  end

  def test_mappings_that_cannot_be_used_are_refused
    table = Basalt::Formats::CSV.new("name,role\na,server\n")
    [{}, { "role" => 1 }, { "name" => 7 }, { "name" => 0, "role" => 0 }].each do |mapping|
      assert_raises(Basalt::Mistake) { N::Inventory::Intake.new(table, mapping) }
    end
  end
end
