# frozen_string_literal: true

require_relative "../support/core_helper"
require_relative "../support/generated_entities"

# Models with something wrong in them: what the checks tell, and what their repairs do.
class RepairsTest < Minitest::Test
  include CoreHelper

  SAMPLE = File.read(File.expand_path("../../demo/tarnwater.basalt", __dir__))

  # The sample, or a generated model, after some facts, ends and elements were spoiled.
  def spoiled(seed)
    random = Random.new(seed)
    text = [SAMPLE, GeneratedEntities.new(seed).text, GeneratedNetwork.new(seed, subnets: 3, things: 4).text][seed % 3]
    set = model(text, tidy: true)
    14.times do
      draft = Change::Draft.new(set, ids: -> { SecureRandom.uuid })
      spoil(draft, random)
      set.advance(draft.effect)
    rescue Mistake
      next
    end
    set
  end

  def spoil(draft, random)
    element = draft.elements.each.to_a.sort_by(&:ordinal).sample(random:)
    case random.rand(5)
    when 0
      draft.apply(Change::Remove.new(id: element.id))
    when 1
      draft.apply(Change::Set.new(id: element.id, fact: element.facts.keys.sample(random:) || "note", value: nil))
    when 2
      same_fact(draft, element, random)
    when 3
      draft.apply(
        Change::Set.new(
          id: element.id,
          fact: "name",
          value: [element.name.to_s.upcase, "#{element.name}s", "update #{element.name}"].sample(random:)
        )
      )
    else
      element.ends.first&.then do |one|
        draft.apply(Change::SetEnd.new(id: element.id, role: one.role, facts: one.facts.transform_values { nil }))
      end
    end
  end

  # One element takes over a fact of another of its kind.
  def same_fact(draft, element, random)
    other = draft.of_kind(element.kind).sample(random:)
    fact = other.facts.keys.sample(random:) or return
    draft.apply(Change::Set.new(id: element.id, fact:, value: other[fact]))
  end

  def test_what_is_found_is_told_in_full_and_is_about_what_there_is
    12.times do |seed|
      set = spoiled(seed)
      found = findings(set)
      refute_empty found, seed
      found.each do |finding|
        [finding.message, finding.why].each { |words| assert_match(/\A\S.*\S\z/m, words.to_s, "#{seed}: #{finding.id}") }
        refute_empty finding.subjects, finding.id
        finding.subjects.each { |id| assert set.element(id) || set.sheets[id], "#{seed}: #{finding.id} is about nothing" }
      end
      assert_equal found.map(&:key).uniq, found.map(&:key), seed
    end
  end

  def test_a_repair_mends_what_it_is_of_and_can_be_undone
    mended = Hash.new(0)
    15.times do |seed|
      set = spoiled(seed)
      before = findings(set)
      before
        .select(&:repair)
        .group_by(&:id)
        .each_value { |alike| alike.first(2).each { |finding| mended[finding.id] += 1 if mends?(set, before, finding, seed) } }
    end
    assert_operator mended.length, :>=, 8, mended.inspect
  end

  def mends?(set, before, finding, seed)
    rows = set.elements.each.sort_by(&:id).map(&:to_h)
    draft = Change::Draft.new(set, ids: -> { SecureRandom.uuid }).apply(finding.repair.changes)
    after = findings(draft)
    refute_includes after.map(&:key), finding.key, "#{seed}: #{finding.id} stays after #{finding.repair.label}"
    worse = (after.select(&:error?).map(&:key) - before.map(&:key))
    assert_empty worse, "#{seed}: the repair of #{finding.id} brings another error"
    undone = Change::Draft.new(draft).apply(draft.effect.inverse)
    assert_equal rows, undone.elements.each.sort_by(&:id).map(&:to_h), "#{seed}: #{finding.id}"
    true
  end

  def test_every_check_has_a_word_of_its_own_and_says_what_it_reads
    checks = Families.gather(:checks)
    # The same rule may hold in two trades.
    ids = Families.all.flat_map { |family| family.checks.map { |check| [family, check.id.to_s] } }
    assert_equal ids.uniq, ids
    assert_operator checks.length, :>, 50
    checks.each do |check|
      assert_match(/\A[a-z]+(-[a-z]+)*\z/, check.id.to_s)
      refute_empty Array(check.reads), check.id
      unknown = Array(check.reads).reject { |kind| %w[sheet opening].include?(kind) || Model::Catalogue.kinds.key?(kind) }
      assert_empty unknown, check.id
    end
  end

  def test_findings_are_the_same_whatever_the_order_in_which_things_were_made
    6.times do |seed|
      lines = GeneratedNetwork.new(seed, subnets: 3, things: 4).text.lines(chomp: true)
      shuffled = lines.first(2) + lines.drop(2).shuffle(random: Random.new(seed))
      told = [lines, shuffled].map { |text| findings(model(text.join("\n"))).map { |finding| [finding.id, finding.message] }.sort }
      assert_equal(*told.map { |list| list.map(&:first).tally }, seed)
    end
  end
end
