# frozen_string_literal: true

require_relative "../support/core_helper"

# Every kind of change can be taken back, and a draft leaves what it is over as it was.
class ChangesTest < Minitest::Test
  include CoreHelper

  def table_rows(set) = %i[elements sheets placements].to_h { |name| [name, set.table(name).each.sort_by(&:id).map(&:to_h)] }

  def apply(set, *changes)
    draft = Basalt::Change::Draft.new(set, ids: -> { SecureRandom.uuid }).apply(*changes)
    sheet = set.sheet_list.first
    Basalt::Drawing::Arranger.new(draft, sheet.id).follow if sheet && draft.sheets[sheet.id]
    draft.effect
  end

  # @return [Array] a change of each kind that can be made to this set
  def changes(set, random)
    sheet = set.sheet_list.first
    device = set.of_kind("device").sample(random:)
    attachment = set.of_kind("attachment").sample(random:)
    placed = set.placements_on(sheet.id).select(&:x).sample(random:)
    c = Basalt::Change
    [
      c::Add.new(kind: "device", name: "new #{random.rand}", facts: { "role" => "server" }),
      c::Set.new(id: device.id, fact: "name", value: "renamed #{random.rand}"),
      c::Set.new(id: device.id, fact: "planned", value: true),
      c::Set.new(id: device.id, fact: "assumed", value: true),
      c::Set.new(id: attachment.id, fact: "address", value: "10.20.0.77"),
      c::Set.new(id: attachment.id, fact: "address", value: nil),
      c::SetEnd.new(id: attachment.id, role: "thing", facts: { "port" => "eth9" }),
      c::Remove.new(id: device.id),
      c::Remove.new(id: set.of_kind("subnet").sample(random:).id),
      c::AddSheet.new(name: "Another #{random.rand}", notation: "entities"),
      c::SetSheet.new(id: sheet.id, fact: :revision, value: "Z"),
      c::TakeOff.new(sheet_id: sheet.id, element_id: device.id),
      c::Arrange.new(placement_id: placed.id, to: { x: 5000, y: 4000 }),
      c::Show.new(sheet_id: sheet.id, element_id: device.id)
    ]
  end

  8.times do |seed|
    define_method("test_every_change_is_undone_#{seed}") do
      random = Random.new(seed)
      set = model(GeneratedNetwork.new(seed, subnets: 3, things: 4).text, tidy: true)
      before = table_rows(set)
      changes(set, random).each do |change|
        effect = apply(set, change)
        assert_equal before, table_rows(set), "a draft altered what it is over: #{change.class}"
        after = table_rows(Basalt::Model::WorkingSet.new.tap { |copy| fill(copy, set) }.advance(effect))
        done = Basalt::Model::WorkingSet.new.tap { |copy| fill(copy, set) }.advance(effect)
        undone = done.advance(Basalt::Change::Draft.new(done).apply(effect.inverse).effect)
        assert_equal before, table_rows(undone), change.class.name
        again = undone.advance(Basalt::Change::Draft.new(undone).apply(Basalt::Change::Revert.new(deltas: effect.deltas)).effect)
        assert_equal after, table_rows(again), change.class.name
      end
    end
  end

  def test_undo_refuses_what_has_become_different
    set = model("sheet S: logical network\nserver a\nsubnet N 10.0.0.0/24\na on N at .1")
    line = set.of_kind("attachment").first
    effect = apply(set, Basalt::Change::Set.new(id: line.id, fact: "address", value: "10.0.0.2"))
    set.advance(effect)
    set.advance(apply(set, Basalt::Change::Set.new(id: line.id, fact: "address", value: "10.0.0.3")))
    error = assert_raises(Basalt::Change::Conflict) { Basalt::Change::Draft.new(set).apply(effect.inverse) }
    assert_match(/address of .* has been altered since/, error.message)
  end

  def test_undo_keeps_what_others_did_to_other_facts
    set = model("sheet S: logical network\nserver a")
    id = set.named("a").first.id
    effect = apply(set, Basalt::Change::Set.new(id:, fact: "planned", value: true))
    set.advance(effect)
    set.advance(apply(set, Basalt::Change::Set.new(id:, fact: "note", value: "kept")))
    set.advance(Basalt::Change::Draft.new(set).apply(effect.inverse).effect)
    assert_equal({ "role" => "server", "note" => "kept" }, set.element(id).facts)
  end

  def test_following_moves_nothing_else
    set = model(GeneratedNetwork.new(5, subnets: 4, things: 8).text, tidy: :by_hand)
    sheet = set.sheet_list.first
    before = set.placements_on(sheet.id).select(&:x).to_h { |p| [p.element_id, [p.x, p.y]] }
    draft = say(set, "Net", "server fresh", "fresh on net-1 at .99", "fresh on net-3 at .99")
    Basalt::Drawing::Arranger.new(draft, sheet.id).follow
    buses = set.of_kind("subnet").map(&:id)
    draft
      .placements_on(sheet.id)
      .select { |p| before.key?(p.element_id) && !buses.include?(p.element_id) }
      .each { |p| assert_equal before[p.element_id], [p.x, p.y] }
    fresh = draft.placement(sheet.id, draft.named("fresh").first.id).box
    draft
      .placements_on(sheet.id)
      .select { |p| p.x && !buses.include?(p.element_id) && p.box != fresh }
      .each { |p| refute p.box.overlap?(fresh) }
    draft.relations_of(draft.named("fresh").first.id).each { |line| refute_nil draft.placement(sheet.id, line.id).route }
  end

  def test_a_moved_thing_keeps_its_lines_and_they_pass_through_no_box
    set = model(GeneratedNetwork.new(6, subnets: 3, things: 6).text, tidy: true)
    sheet = set.sheet_list.first
    host = set.named("net-1-host-2").first || set.of_kind("device").last
    placement = set.placement(sheet.id, host.id)
    set.advance(apply(set, Basalt::Change::Arrange.new(placement_id: placement.id, to: { x: placement.x - 400, y: placement.y + 500 })))
    boxes = set.things_on(sheet.id).reject { |t| t.kind == "subnet" }.map { |t| set.placement(sheet.id, t.id).box }
    set
      .relations_of(host.id)
      .each do |line|
        Basalt::Layout::Polyline
          .boxes(set.placement(sheet.id, line.id).route["points"])
          .each { |segment| boxes.each { |box| refute box.overlap?(segment) } }
      end
  end

  private

  def fill(copy, set)
    %i[elements sheets placements].each { |name| set.table(name).each { |row| copy.table(name).put(row) } }
  end
end
