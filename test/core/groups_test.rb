# frozen_string_literal: true

require_relative "../support/core_helper"

# Membership in any number of groups, and the outlines around members that do not stand together.
class GroupsTest < Minitest::Test
  include CoreHelper

  def text(seed)
    random = Random.new(seed)
    names = Array.new(14) { |n| "t#{n}" }
    lines = names.each_cons(2).map { |one, other| "#{one} to #{other}" if random.rand(2).zero? }.compact
    groups = %w[Red Green Blue].map { |group| "#{names.sample(random.rand(1..6), random:).join(", ")} belong to #{group}" }
    [
      "project P",
      "sheet S: logical network",
      "site North",
      *names.map { |name| "server #{name}#{" in North" if random.rand(4).zero?}" },
      *lines,
      "group Red",
      "group Green",
      "group Blue",
      *groups
    ].join("\n")
  end

  def sheet(set) = set.sheet_list.first.id
  def outlines(set, group) = group.description.figure.outlines(set, sheet(set), group)

  def check(set, title)
    nesting = Drawing::Nesting.new(set, sheet(set))
    set
      .of_kind("group")
      .each do |group|
        members = Annotation::Membership.members(set, group.id)
        boxes = outlines(set, group)
        members.each do |id|
          assert boxes.any? { |box| inside?(set.placement(sheet(set), id).box, box) },
                 "#{title}: #{set.element(id).name} in #{group.name}"
        end
        others =
          set.things_on(sheet(set)).reject { |thing| thing.kind != "device" || members.include?(thing.id) || nesting.boundary?(thing.id) }
        # What somebody dropped onto a member, or close to it, is within its outline.
        near = members.map { |id| set.placement(sheet(set), id).box.grow(60) }
        others
          .reject { |thing| near.any? { |box| box.overlap?(set.placement(sheet(set), thing.id).box) } }
          .each do |thing|
            refute boxes.any? { |box| inside?(set.placement(sheet(set), thing.id).box, box) },
                   "#{title}: #{thing.name} is no member of #{group.name}"
          end
      end
  end

  def inside?(inner, outer) = inner.x >= outer.x && inner.y >= outer.y && inner.right <= outer.right && inner.bottom <= outer.bottom

  def test_outlines_hold_their_members_and_nobody_else_whatever_is_moved
    25.times do |seed|
      set = model(text(seed), tidy: true)
      contents = Drawing::SheetStatistics.new(set, sheet(set))
      check(set, seed)
      5.times { |step| moved(set, contents, Random.new((seed * 10) + step), "#{seed}, #{step}") }
      assert_equal facts(set), facts(model(reading(set)))
    end
  end

  def moved(set, contents, random, title)
    draft = Change::Draft.new(set, ids: -> { SecureRandom.uuid })
    thing = set.things_on(sheet(set)).select { |one| one.kind == "device" }.sample(random:)
    placed = set.placement(sheet(set), thing.id)
    draft.apply(
      Change::Arrange.new(
        placement_id: placed.id,
        to: {
          x: placed.x + random.rand(-500..500),
          y: placed.y + random.rand(-500..500),
          by_hand: true
        }
      )
    )
    Drawing::Arranger.new(draft, sheet(set)).follow
    affected = Drawing::Affected.by(draft)
    set.advance(draft.effect)
    contents.renew(set, affected)
    check(set, title)
    assert_equal Drawing::SheetStatistics.new(set, sheet(set)).extent, contents.extent, title
  end

  # Groups that have members in common are as wide as they are because of each other.
  def test_whatever_looks_otherwise_when_something_joins_or_leaves_a_group_is_known
    20.times do |seed|
      set = model(text(seed), tidy: true)
      random = Random.new(seed)
      8.times do
        before = drawn(set)
        draft = Change::Draft.new(set, ids: -> { SecureRandom.uuid })
        act(draft, "t#{random.rand(14)}", random)
        Drawing::Arranger.new(draft, sheet(set)).follow
        affected = Drawing::Affected.by(draft)
        set.advance(draft.effect)
        assert_empty (drawn(set) - before).map(&:first) - affected, seed
      end
    end
  end

  def drawn(set) = Drawing::Scene.new(set, sheet(set)).items.filter_map { |item| [item.element_id, item.shapes] if item.element_id }.to_set

  def act(draft, name, random)
    case random.rand(4)
    when 0 then Statements::Document.new("#{name} in North").into(draft, sheet_id: sheet(draft))
    when 1 then draft.apply(Change::Set.new(id: draft.named(name).first.id, fact: "container", value: nil))
    else toggle(draft, name, %w[Red Green Blue].sample(random:))
    end
  end

  def toggle(draft, name, group)
    member, group = [name, group].map { |one| draft.named(one).first }
    told = "#{member.name} belongs to #{group.name}"
    told = "remove #{told}" if Annotation::Membership.members(draft, group.id).include?(member.id)
    Statements::Document.new(told).into(draft, sheet_id: sheet(draft))
  end

  def test_groups_are_told_registered_and_have_no_place_of_their_own
    set =
      model(
        "project P\nsheet S: entities\nentity Crew\nentity Depot\ngroup Core meaning \"what all need\"\nCrew, Depot belong to Core",
        tidy: true
      )
    assert_includes reading(set), "Crew belongs to Core\nDepot belongs to Core"
    assert_nil set.placement(sheet(set), set.named("Core").first.id).box
    error = assert_raises(Statements::Misread) { say(set, "S", "Core belongs to Core") }
    assert_match(/Core cannot belong to itself/, error.message)
    draft = say(set, "S", "Crew belongs to Core")
    assert_empty draft.effect.on(:elements)
    draft = say(set, "S", "remove Crew belongs to Core")
    assert_equal 1, draft.of_kind("membership").length
    assert_equal(
      ["Core"],
      Drawing::Scene.new(set, sheet(set)).items.select { |item| item.type == "group" && item.data[:name] }.map { |item| item.data[:name] }
    )
  end
end
