# frozen_string_literal: true

require_relative "../support/core_helper"

# Links of elements with the sheets beneath them: stated, matched by name, kept when either is renamed, and told when they dangle.
class LinkingTest < Minitest::Test
  include CoreHelper

  Linking = Basalt::Linking
  SEEDS = 150
  WORDS = %w[Alder House core acc R rack Pump 1 01 001 2 10 - _ . /].push(" ").freeze

  def names(random, count) = Array.new(count) { Array.new(random.rand(1..4)) { WORDS.sample(random:) }.join.strip }.reject(&:empty?)
  def numbered(names, letter) = names.each_with_index.to_h { |name, index| ["#{letter}#{index}", name] }

  # Compared with each other one by one, from the strictest to the loosest way of being the same.
  def by_hand(things, sheets, without)
    things, sheets = things.dup, sheets.dup
    same = [->(name) { name }, ->(name) { Linking::Key.normal(name) }]
    same << ->(name) { Linking::Key.shortened(name, without.map { |words| Linking::Key.parts(words) }) } if without.any?
    same.flat_map do |key|
      met = things.keys.product(sheets.keys).select { |thing, sheet| key.(things[thing]) && key.(things[thing]) == key.(sheets[sheet]) }
      alone = met.select { |thing, sheet| met.one? { |one, _| one == thing } && met.one? { |_, other| other == sheet } }
      met.each { |thing, sheet| [things.delete(thing), sheets.delete(sheet)] }
      alone
    end
  end

  def pairs(matching) = matching.pairs.map { |pair| [pair.thing, pair.sheet] }

  def test_what_is_matched_is_what_comparing_one_by_one_gives_and_never_a_guess_between_equals
    found = 0
    SEEDS.times do |seed|
      random = Random.new(seed)
      things, sheets = numbered(names(random, 12), "t"), numbered(names(random, 12), "s")
      without = [[], ["rack"], ["Alder House"]].sample(random:)
      matching = Linking::Matching.new(things, sheets, without:)
      assert_equal by_hand(things, sheets, without).sort, pairs(matching).sort, "seed #{seed}"
      assert_equal pairs(matching).map(&:reverse).sort, pairs(Linking::Matching.new(sheets, things, without:)).sort,
                   "turned round, seed #{seed}"
      found += matching.pairs.length
      matching.equal.each { |equal| assert_operator equal.things.length * equal.sheets.length, :>, 1 }
      all = matching.pairs.map(&:thing) + matching.equal.flat_map(&:things) + matching.left_things
      assert_equal things.keys.sort, all.sort
    end
    assert_operator found, :>, SEEDS
  end

  def test_another_name_that_comes_to_the_same_on_both_sides_alters_nothing
    SEEDS.times do |seed|
      random = Random.new(seed)
      things, sheets = numbered(names(random, 9), "t"), numbered(names(random, 9), "s")
      renamed = [things, sheets].map { |all| all.transform_values { |name| "Depot #{name}" } }
      plain = [things, sheets].map { |all| all.select { |_, name| Linking::Key.normal(name) } }
      assert_equal pairs(Linking::Matching.new(*plain)).sort,
                   pairs(Linking::Matching.new(*renamed.zip(plain).map { |all, kept| all.slice(*kept.keys) })).sort, "seed #{seed}"
    end
  end

  def test_names_come_to_the_same_without_case_spaces_separators_and_leading_zeros_but_numbers_stay_apart
    assert_equal 1, ["core-01", "Core 1", "CORE_001", "core1", "ＣＯＲＥ１"].map { |name| Linking::Key.normal(name) }.uniq.length
    assert_equal 4, ["1-2", "12", "1.20", "R1-2"].map { |name| Linking::Key.normal(name) }.uniq.length
    assert_nil Linking::Key.normal("--")
    SEEDS.times do |seed|
      names(Random.new(seed), 9).each { |name| assert_equal [Linking::Key.join(Linking::Key.parts(name))], [Linking::Key.normal(name)], name }
    end
    assert_equal "et1", Linking::Key.normal("et 01")
    assert_equal "racket1", Linking::Key.shortened("Racket 1", [["rack"]])
    assert_equal "rack", Linking::Key.shortened("rack", [["rack"]])
    SEEDS.times do |seed|
      names(Random.new(seed), 20).each do |name|
        whole = Linking::Key.normal(name) or next
        quick = Linking::Key.without_last(name, whole, "rack") or next
        assert_equal Linking::Key.shortened(name, [["rack"]]), quick, name
      end
    end
  end

  HALL = <<~TEXT
    project Tarnwater
    site Greyholm
    room Hall in Greyholm
    room Store in Greyholm
    rack R1 in Hall, 42U
    rack R2 in Hall, 42U
    rack R3 in Store, 42U
    sheet Floor: rack
    rack R1
    rack R2
    rack R3
    sheet R1 elevation: rack
    sheet r-02 Elevation: rack
    sheet Elsewhere: rack
  TEXT

  def by_name(set, **how) = Linking::ByName.new(set, **how)
  def linked(set, **how) = Basalt::Change::Draft.new(set).apply(by_name(set, **how).changes).then { |draft| set.advance(draft.effect) }
  def sheets_of(set, name) = set.openings(set.named(name).first.id).map { |opening| opening.sheet.name }

  def test_linking_again_changes_nothing_and_links_follow_when_either_is_renamed
    set = linked(model(HALL), noun: "rack", without: ["elevation"])
    assert_equal([["R1 elevation"], ["r-02 Elevation"], []], %w[R1 R2 R3].map { |name| sheets_of(set, name) })
    again = by_name(set, noun: "rack", without: ["elevation"])
    assert_empty again.fresh
    assert_equal 2, again.standing.length
    assert_equal(["R3"], again.left_things.map { |id| set.element(id).name })
    set = said(set, "rename R1 to R9")
    assert_equal ["R1 elevation"], sheets_of(set, "R9")
    assert_empty by_name(set, noun: "rack", without: ["elevation"]).fresh
  end

  def test_a_choice_is_remembered_and_one_that_is_none_is_refused
    set = model("#{HALL}sheet R-1 elevation: rack\nsheet r1 Elevation: rack\n")
    first = by_name(set, noun: "rack", without: ["elevation"])
    choice = first.choices.find { |one| set.element(one.thing).name == "R1" }
    assert_equal 3, choice.sheets.length
    assert_raises(Basalt::Mistake) { first.changes(chosen: { choice.thing => [set.sheets.by(:name, "Elsewhere").first.id] }) }
    set.advance(Basalt::Change::Draft.new(set).apply(first.changes(chosen: { choice.thing => choice.sheets.last(1) })).effect)
    assert_equal ["r1 Elevation"], sheets_of(set, "R1")
    again = by_name(set, noun: "rack", without: ["elevation"])
    assert_empty again.choices
    assert_empty again.fresh
  end

  def test_things_of_one_name_are_never_told_apart_by_guessing_but_many_may_open_into_the_sheet_of_their_rack
    set = model("#{HALL}rack R4 in Hall, 42U\nrack R4 in Store, 42U\nsheet R4: rack\nserver a in R1\nserver b in R1")
    assert_equal 2, by_name(set, noun: "rack").choices.length
    by_rack = by_name(set, noun: "server", by: "rack", without: ["elevation"])
    assert_equal(%w[a b], by_rack.fresh.map { |pair| set.element(pair.thing).name })
    refused = assert_raises(Basalt::Mistake) { by_name(set, by: "colour") }
    assert_match(/there is name/, refused.message)
  end

  def test_links_come_back_from_their_reading_and_an_edited_reading_alters_them
    text = "#{HALL}R1 opens into R1 elevation, as rack elevation\nR1 opens into Elsewhere\nR2 opened into “x”\n".tr("“”", '""')
    set = model(text)
    reading = Basalt::Statements::Unparser.new(set).project
    assert_includes reading, "R1 opens into R1 elevation, as rack elevation\n"
    assert_equal reading, Basalt::Statements::Unparser.new(model(reading)).project
    sheet = set.sheets.by(:name, "Floor").first.id
    before = Basalt::Statements::Unparser.new(set).sheet(sheet)
    after = before.map { |line| line.sub("as rack elevation", "as front and rear") } - ["R1 opens into Elsewhere"]
    draft = Basalt::Change::Draft.new(set)
    patch = Basalt::Statements::ReadingPatch.new(set, sheet, before, after)
    patch.into(draft)
    assert_empty patch.refused
    set.advance(draft.effect)
    assert_equal([["R1 elevation", "front and rear"]], set.openings(set.named("R1").first.id).map { |one| [one.sheet.name, one.title] })
  end

  def test_a_link_whose_sheet_was_taken_away_is_found_and_mended_when_it_is_there_again
    set = linked(model(HALL), noun: "rack", without: ["elevation"])
    sheet = set.sheets.by(:name, "R1 elevation").first
    draft = Basalt::Change::Draft.new(set).apply(Basalt::Change::RemoveSheet.new(id: sheet.id))
    set.advance(draft.effect)
    found = findings(set).select { |finding| finding.id == "dangling-link" }
    assert_equal ["R1 opened into “R1 elevation”, which is not there any more"], found.map(&:message)
    assert_equal "Take the link away", found.first.repair.label
    set = said(set, "sheet R1 elevation: rack")
    repair = findings(set).find { |finding| finding.id == "dangling-link" }.repair
    set.advance(Basalt::Change::Draft.new(set).apply(repair.changes).effect)
    assert_equal ["R1 elevation"], sheets_of(set, "R1")
    refute(findings(set).any? { |finding| finding.id == "dangling-link" })
  end

  def test_what_has_no_sheet_gets_one_by_its_rule
    set = model(HALL)
    draft = Basalt::Change::Draft.new(set)
    left = by_name(set, noun: "rack", without: ["elevation"]).left_things
    made = []
    assert_equal 1, Basalt::Openers.make(draft, left) { |id| made << id }
    set.advance(draft.effect)
    assert_equal ["R3 elevation"], sheets_of(set, "R3")
    assert_equal(["R3"], made.flat_map { |id| set.things_on(id).map(&:name) })
    again = by_name(set, noun: "rack", without: ["elevation"])
    assert_empty again.left_things, "what is about it counts by itself"
    assert_equal(["Floor", "Elsewhere"], again.left_sheets.map { |one| set.sheets[one].name })
  end

  def said(set, text)
    set.advance(Basalt::Change::Draft.new(set).then { |draft| Basalt::Statements::Document.new(text).into(draft) }.effect)
  end

  def findings(set) = Basalt::Checks::Runner.new(set).findings
end
