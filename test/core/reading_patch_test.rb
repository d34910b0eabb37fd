# frozen_string_literal: true

require_relative "../support/core_helper"
require_relative "../support/generated_network"

# An edited reading becomes the changes that make the model read so.
class ReadingPatchTest < Minitest::Test
  include CoreHelper

  S = Basalt::Statements

  def revised(set, before, after)
    sheet = set.sheet_list.first
    revision = S::ReadingPatch.new(set, sheet.id, before, after)
    draft = revision.into(Basalt::Change::Draft.new(set))
    [S::Unparser.new(draft).sheet(sheet.id), revision.refused, draft]
  end

  def reading(set) = S::Unparser.new(set).reading(set.sheet_list.first.id).flatten(1).flat_map(&:last)

  def test_what_joins_things_is_read_first_and_nothing_is_left_out
    sample = model(File.read(File.expand_path("../../demo/tarnwater.basalt", __dir__)))
    sample.sheet_list.each do |sheet|
      joined, there = S::Unparser.new(sample).reading(sheet.id)
      # What stands in order is told together, with what holds it.
      joins = ->(id) { sample.element(id).relation? || sheet.notation.script_kinds.include?(sample.element(id).kind) }
      assert(joined.all? { |id, _| id.nil? || joins.(id) } && there.none? { |id, _| joins.(id) }, sheet.name)
      assert_equal S::Unparser.new(sample).sheet(sheet.id).sort, (joined + there).flat_map(&:last).sort, sheet.name
    end
  end

  def test_any_reading_can_be_edited_into_any_other
    6.times do |seed|
      one, other = [seed, seed + 50].map { |n| model(GeneratedNetwork.new(n, subnets: 2, things: 5).text) }
      after, refused, = revised(one, reading(one), reading(other))
      assert_empty refused.map(&:reason), "seed #{seed}"
      assert_equal reading(other).sort, after.sort, "seed #{seed}"
    end
  end

  def test_lines_struck_and_brought_back_leave_the_reading_as_it_was
    random = Random.new(3)
    8.times do |seed|
      set = model(GeneratedNetwork.new(seed, subnets: 2, things: 6).text)
      lines = reading(set)
      kept = lines.reject { random.rand < 0.2 }
      after, _, draft = revised(set, lines, kept)
      assert_empty after - lines, "seed #{seed}"
      held = Basalt::Model::WorkingSet.new(project: "x").advance(draft_of(set, draft))
      again, refused, = revised(held, reading(held), lines)
      assert_empty refused.map(&:reason), "seed #{seed}"
      assert_equal lines.sort, again.sort, "seed #{seed}"
    end
  end

  # What the set and a draft over it hold together, as one effect.
  def draft_of(set, draft)
    rows =
      %i[elements sheets placements].flat_map do |table|
        draft.table(table).each.map { |row| Basalt::Change::Delta.new(table:, id: row.id, before: nil, after: row) }
      end
    assert_operator set.elements.size, :>, 0
    Basalt::Change::Effect.new(deltas: rows)
  end

  def test_an_altered_sentence_alters_what_it_told
    set =
      model(
        "sheet S: logical network\nsite Here\nsubnet Net 10.0.0.0/24, vlan 7\nserver a in Here, planned\nnote on a: old\na on Net at .5, " \
        "gateway"
      )
    lines = reading(set)
    id = set.named("a").first.id
    line = set.relations_of(id).first.id
    changed =
      lines.map do |text|
        text
          .sub(/\Aserver a in Here, planned/, "server b")
          .sub("a is on Net at 10.0.0.5, gateway", "a on Net at .6")
          .sub("old", "new")
          .sub(", vlan 7", "")
      end
    after, refused, draft = revised(set, lines, changed)
    assert_empty refused.map(&:reason)
    assert_equal ["b", nil, nil, "new"],
                 [draft.element(id).name, draft.element(id).container_id, draft.element(id)["planned"], draft.element(id)["note"]]
    assert_equal({ "address" => "10.0.0.6" }, draft.element(line).facts)
    assert_includes after, "subnet Net 10.0.0.0/24"
  end

  def test_attributes_keep_what_else_is_known_of_them
    set = model("sheet S: entities\nentity Crew\nCrew has code key, name required, phones many")
    code = set.of_kind("attribute").first
    _, refused, draft = revised(set, reading(set), ["entity Crew", "Crew has number key, name"])
    assert_equal ["name"], draft.parts_of(set.named("Crew").first.id).reject { |part| part.name == "number" }.map(&:name)
    assert_empty refused
    _, _, renamed = revised(set, reading(set), ["entity Crew", "Crew has number key, name required, phones many"])
    assert_equal "number", renamed.element(code.id).name
  end

  def test_what_is_not_understood_is_told_with_its_line_and_blocks_nothing
    set = model("sheet S: logical network\nserver a")
    after, refused, = revised(set, ["server a"], ["server a", "wombat", "b on Net at .1", "subnet Net 10.0.0.0/24", "server b"])
    assert_equal([[1, "wombat"]], refused.map { |one| [one.index, one.text] })
    assert_includes after, "b is on Net at 10.0.0.1"
  end

  def test_order_alone_is_no_difference
    set = model("sheet S: logical network\nserver a\nserver b")
    _, refused, draft = revised(set, ["server a", "server b"], ["server b", "", "# a remark", "server a"])
    assert_empty refused
    assert_empty draft.effect.deltas
  end
end
