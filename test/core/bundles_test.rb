# frozen_string_literal: true

require_relative "../support/core_helper"

# Cables of a bundle are drawn as one until somebody opens it.
class BundlesTest < Minitest::Test
  include CoreHelper

  TEXT = <<~TEXT
    project P
    sheet W: physical network
    switch core, 2 members, ports 1-8 fibre 10G
    switch acc, ports up1-up4 fibre 10G
    switch other, ports up1-up4 fibre 10G
    acc up1 to core 1/1, fibre 10G, bundle po1
    acc up2 to core 2/1, fibre 10G, bundle po1
    other up1 to core 1/2, fibre 10G
  TEXT

  def sheet(set) = set.sheet_list.first
  def drawn(set) = Basalt::Drawing::Scene.new(set, sheet(set).id).items.select { |item| item.layer == :lines }

  def words(set)
    Basalt::Drawing::Scene.new(set, sheet(set).id).items.select { |item| item.layer == :labels }.flat_map(&:shapes).filter_map { |shape| shape[3] if shape[0] == :text }
  end

  # As an act does it.
  def act(set)
    draft = Basalt::Change::Draft.new(set, ids: -> { SecureRandom.uuid })
    yield draft
    Basalt::Drawing::Arranger.new(draft, sheet(set).id).follow
    set.advance(draft.effect)
  end

  def statement(set, line)
    act(set) { |draft| Basalt::Statements::Line.take(line, Basalt::Statements::Context.new(draft, sheet_id: sheet(set).id)) }
  end

  def cable(set, port) = set.of_kind("link").find { |one| one.ends.any? { |joined| joined.facts["port"] == port } }

  def unfold(set, opened)
    act(set) { |draft| draft.apply(Basalt::Change::OpenBundle.new(sheet_id: sheet(set).id, element_id: cable(set, "1/1").id, open: opened)) }
  end

  # Everything that is drawn stands for what is in the model, and nothing is drawn twice.
  def check(set, count)
    assert_equal count, drawn(set).length
    keys = drawn(set).map(&:element_id)
    assert(keys.all? { |id| set.placement(sheet(set).id, id).route })
    hidden = set.of_kind("link").map(&:id) - keys
    assert(hidden.all? { |id| set.placement(sheet(set).id, id)&.route.nil? })
    fresh = Basalt::Drawing::SheetStatistics.new(set, sheet(set).id)
    assert_equal set.of_kind("link").length, fresh.counts["link"]
  end

  def test_a_bundle_is_one_line_with_its_number_and_its_ports
    set = model(TEXT, tidy: true)
    check(set, 2)
    assert_equal ["up1, up2", "1/1, 2/1", "2 × 10G po1", "up1", "1/2", "10G"].sort, words(set).sort
  end

  def test_it_is_opened_closed_grows_and_goes
    set = model(TEXT, tidy: true)
    check(unfold(set, true), 3)
    check(statement(set, "acc up3 to core 1/3, fibre 10G, bundle po1"), 4)
    check(unfold(set, false), 2)
    assert_includes words(set), "up1 … up3"
    check(statement(set, "other up2 to core 2/2, fibre 10G"), 3)
    check(act(set) { |draft|
      ["1/2", "2/2"].each { |port|
        draft.apply(Basalt::Change::Set.new(id: cable(set, port).id, fact: "bundle", value: "po2"))
      }
    }, 2)
    check(act(set) { |draft| draft.apply(Basalt::Change::Remove.new(id: cable(set, "1/1").id)) }, 2)
    assert_includes words(set), "up2, up3"
    statement(set, "other up3 to core 1/4, fibre 10G")
    refused = assert_raises(Mistake) { act(set) { |draft| draft.apply(Basalt::Change::OpenBundle.new(sheet_id: sheet(set).id, element_id: cable(set, "1/4").id, open: true)) } }
    assert_match "no bundle of several lines", refused.message
  end

  def test_an_act_and_a_fresh_look_tell_the_same
    set = model(TEXT, tidy: true)
    ["acc up3 to core 1/3, fibre 10G, bundle po1", "other up2 to core 2/2, fibre 10G, bundle po1", "swap core 1/1 and core 1/2",
     "remove other"].each do |line|
      statement(set, line)
      fresh = set.of_kind("link").group_by { |one| [one.targets.sort, one["bundle"] || one.id] }
      assert_equal fresh.length, drawn(set).length, line
      check(set, fresh.length)
    end
  end
end
